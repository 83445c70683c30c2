<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\OutcomeReader;
use Watchpost\Core\Outcomes\OutcomeRequest;

/** A random setup over random bars about 100.00, from a seed. Prices are told as units of 0.01. */
final class RandomCase
{
    private readonly Randomizer $random;

    /** @var list<array{int, int, int, int, int}> session number, open, high, low, close */
    private array $bars = [];

    /** @var list<array{int, int, int, int, int, int}> session number, half hour, open, high, low, close */
    private array $finer = [];

    public readonly int $until;
    private readonly string $kind;
    private readonly int $entry;
    private readonly int $within;
    private readonly bool $noChase;
    private readonly int $risk;

    /** @var list<array{int, string}> distance from the entry, share */
    private array $targets = [];
    private readonly ?int $cancel;

    public function __construct(int $seed, int $sessions = 14)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $price = 10_000;
        for ($n = 0; $n < $sessions; ++$n) {
            $price = max(2_000, $price + $this->random->getInt(-120, 120));
            [$open, $high, $low] = [$price, $price, $price];
            $parts = [];
            for ($h = 0; $h < 13; ++$h) {
                $from = $price;
                $price = max(2_000, $price + $this->random->getInt(-70, 70));
                $parts[] = [$n, $h, $from, max($from, $price) + $this->random->getInt(0, 12), min($from, $price) - $this->random->getInt(0, 12), $price];
            }
            foreach ($parts as $part) {
                $high = max($high, $part[3]);
                $low = min($low, $part[4]);
            }
            $this->bars[] = [$n, $open, $high, $low, $price];
            // now and then finer bars are missing, and the bar cannot be replayed
            if ($this->random->getInt(0, 4) > 0) {
                array_push($this->finer, ...$parts);
            }
        }
        $this->until = $this->random->getInt(2, $sessions);
        $this->kind = $this->random->getInt(0, 1) === 0 ? 'touch' : 'break';
        $this->entry = 10_000 + ($this->kind === 'touch' ? -1 : 1) * $this->random->getInt(-40, 220);
        $this->within = $this->kind === 'touch' ? $this->random->getInt(0, 3) * 5 : 0;
        $this->noChase = $this->kind === 'break' && $this->random->getInt(0, 2) === 0;
        $this->risk = $this->random->getInt(30, 260);
        $reach = 0;
        $shares = [[], ['1'], ['0.5', '0.5'], ['0.25', '0.5'], ['0.3', '0.3', '0.4']][$this->random->getInt(0, 4)];
        foreach ($shares as $share) {
            $reach += $this->random->getInt(20, 220);
            $this->targets[] = [$reach, $share];
        }
        $this->cancel = $this->random->getInt(0, 3) === 0 ? $this->random->getInt(10, 200) : null;
    }

    public function sessions(): int
    {
        return count($this->bars);
    }

    /**
     * @param int|null $pivot a number K: the case on mirrored prices p -> K - p
     * @param int      $scale all prices times this
     * @param int|null $read  only the first bars
     *
     * @return array<string, mixed>
     */
    public function input(?int $pivot = null, int $scale = 1, ?int $read = null, bool $finer = true, ?int $risk = null, bool $targets = true): array
    {
        $price = static fn (int $units): string => sprintf('%d.%02d', intdiv($scale * ($pivot === null ? $units : $pivot - $units), 100), $scale * ($pivot === null ? $units : $pivot - $units) % 100);
        $row = static fn (int $n, int $half, int $o, int $h, int $l, int $c): array => [
            self::at($n, 30 * $half),
            self::date($n),
            $price($o),
            $price($pivot === null ? $h : $l),
            $price($pivot === null ? $l : $h),
            $price($c),
            100,
        ];
        $bars = array_slice($this->bars, 0, $read ?? count($this->bars));
        $trigger = ['kind' => $this->kind, 'price' => $price($this->entry)];
        if ($this->within > 0) {
            $trigger['within'] = sprintf('%d.%02d', intdiv($scale * $this->within, 100), $scale * $this->within % 100);
        }
        if ($this->noChase) {
            $trigger['no_chase'] = true;
        }
        $setup = [
            'side' => $pivot === null ? 'long' : 'short',
            'published_at' => self::at(0, -60),
            'entry_until' => self::at($this->until, 0),
            'legs' => [['name' => 'entry', 'share' => '1', 'trigger' => $trigger]],
            'stop' => ['price' => $price($this->entry - ($risk ?? $this->risk))],
            'targets' => $targets ? array_map(fn (array $target): array => ['price' => $price($this->entry + $this->within + $target[0]), 'share' => $target[1]], $this->targets) : [],
        ];
        if ($this->cancel !== null && $targets) {
            $setup['cancel'] = ['price' => $price($this->entry - $this->cancel), 'basis' => 'touch'];
        }

        return [
            'instrument' => ['symbol' => 'REED.Q', 'decimals' => 2],
            'setup' => $setup,
            'timeframe' => '1d',
            'bars' => array_map(static fn (array $bar): array => $row($bar[0], 0, $bar[1], $bar[2], $bar[3], $bar[4]), $bars),
            'finer' => ['timeframe' => '30m', 'bars' => $finer ? array_map(static fn (array $bar): array => $row($bar[0], $bar[1], $bar[2], $bar[3], $bar[4], $bar[5]), $this->finer) : []],
            'as_of' => self::at(count($bars), -60),
        ];
    }

    /** @param mixed ...$options as of input() */
    public function request(mixed ...$options): OutcomeRequest
    {
        return OutcomeReader::read(Node::of($this->input(...$options)));
    }

    private static function date(int $n): string
    {
        return gmdate('Y-m-d', 1_792_022_400 + 86_400 * $n);
    }

    private static function at(int $n, int $minutes): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', 1_792_022_400 + 86_400 * $n + 30_600 + 60 * $minutes);
    }
}
