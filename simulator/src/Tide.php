<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/**
 * What moves the whole coast: the market, its groups, its currencies. Everything is a function of the seed and the date
 * alone. Slow waves of several lengths make the trends, the leadership of groups, and calm and stormy months.
 */
final class Tide
{
    private const MARKET_SIZE = 0.0068;
    private const GROUP_SIZE = 0.0060;
    private const CURRENCY_SIZE = 0.0026;
    private const OVERNIGHT = 0.4;
    private const BY_DAY = 0.9;
    private const WAVES = [34, 89, 205, 520];

    /** @var array<string, Factor> */
    private array $factors = [];

    /** @var array<string, list<array{float, float}>> length and phase of the waves of a name */
    private array $waves = [];

    /** @var array<string, list<float>> */
    private array $paths = [];

    public function __construct(public readonly string $seed)
    {
    }

    public function market(string $date): Factor
    {
        return $this->factors["market/{$date}"] ??= $this->draw(
            'market',
            $date,
            self::MARKET_SIZE * $this->storm($date),
            0.00025 + 0.0010 * $this->wave('market', $date),
        );
    }

    public function group(string $group, string $date): Factor
    {
        return $this->factors["{$group}/{$date}"] ??= $this->draw($group, $date, self::GROUP_SIZE, 0.0009 * $this->wave($group, $date));
    }

    /** The change of a currency's strength. */
    public function currency(string $code, string $date): Factor
    {
        return $this->factors["{$code}/{$date}"] ??= $this->draw($code, $date, self::CURRENCY_SIZE, 0.0004 * $this->wave($code, $date));
    }

    /** How stormy the market is, 1 being usual: more so while it falls. */
    public function storm(string $date): float
    {
        return exp(max(-0.8, min(1.1, 0.35 * $this->wave('storm', $date) - 0.35 * $this->wave('market', $date))));
    }

    /** A sum of slow waves, about -2 to 2. */
    public function wave(string $name, string $date): float
    {
        $t = (int) (strtotime($date.' UTC') / 86_400) * 5 / 7;
        $sum = 0.0;
        foreach ($this->waves[$name] ??= $this->drawnWaves($name) as [$length, $phase]) {
            $sum += sin(2 * M_PI * ($t / $length + $phase));
        }

        return $sum / sqrt(2);
    }

    /**
     * The steps a factor takes from open to close; they add up to its move.
     *
     * @return list<float>
     */
    public function path(string $name, Factor $factor, string $date, int $steps): array
    {
        return $this->paths["{$name}/{$date}/{$steps}"] ??= $this->drawnPath($name, $factor, $date, $steps);
    }

    /** Lets go of what was drawn, when it will not be asked for again soon. */
    public function forget(): void
    {
        $this->factors = $this->paths = [];
    }

    private function draw(string $name, string $date, float $size, float $drift): Factor
    {
        $dice = new Dice($this->seed, $name, $date);

        return new Factor(self::OVERNIGHT * $size * $dice->normal(), $drift + self::BY_DAY * $size * $dice->normal(), $size);
    }

    /** @return list<float> */
    private function drawnPath(string $name, Factor $factor, string $date, int $steps): array
    {
        $dice = new Dice($this->seed, $name, $date, 'path');
        $path = [];
        for ($i = 0; $i < $steps; ++$i) {
            $path[] = $dice->normal();
        }
        $mean = array_sum($path) / $steps;
        $scale = self::BY_DAY * $factor->size / sqrt($steps);

        return array_map(static fn (float $z): float => $factor->move / $steps + $scale * ($z - $mean), $path);
    }

    /** @return list<array{float, float}> */
    private function drawnWaves(string $name): array
    {
        $dice = new Dice($this->seed, $name, 'waves');

        return array_map(static fn (int $length): array => [$length * $dice->between(0.8, 1.25), $dice->uniform()], self::WAVES);
    }
}
