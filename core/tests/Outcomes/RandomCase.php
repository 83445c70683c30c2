<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\OutcomeReader;
use Watchpost\Core\Outcomes\OutcomeRequest;

/**
 * A random setup of any kind over random bars about 100.00, from a seed. Prices are told as units of 0.01; the bars of
 * the first few sessions lie before the publication.
 */
final class RandomCase
{
    private const EARLIER = 6;
    private const FRAMES = ['1d', '1d', '1w'];

    private readonly Randomizer $random;

    /** @var list<array{int, int, int, int, int}> session number, open, high, low, close */
    private array $bars = [];

    /** @var list<array{int, int, int, int, int, int}> session number, half hour, open, high, low, close */
    private array $finer = [];

    public readonly int $until;
    /** The last close before the publication, about which the setup is made. */
    private readonly int $close;
    private readonly int $risk;

    /** @var list<array{array<string, mixed>, string, bool}> trigger, share, whether it needs the first leg; prices and distances as units */
    private array $legs = [];

    /** @var list<array{int, string}> distance beyond the furthest entry, share */
    private array $targets = [];

    /** @var array<string, mixed> the other parts of the setup; prices as units */
    private array $more = [];

    /** @param bool $percents whether parts that measure in percent, or by RSI, may occur */
    public function __construct(int $seed, int $sessions = 16, private readonly bool $percents = true)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->makeBars($sessions);
        $this->close = $this->bars[self::EARLIER - 1][4];
        $this->until = self::EARLIER + $this->random->getInt(2, $sessions - self::EARLIER);
        $this->risk = $this->random->getInt(30, 260);
        $count = $this->random->getInt(0, 2) === 0 ? 2 : 1;
        for ($i = 0; $i < $count; ++$i) {
            $this->legs[] = [$this->trigger(), $count === 1 ? '1' : ['0.4', '0.6'][$i], $i > 0 && $this->odds(2)];
        }
        $reach = 0;
        foreach ([[], ['1'], ['0.5', '0.5'], ['0.25', '0.5'], ['0.3', '0.3', '0.4']][$this->random->getInt(0, 4)] as $share) {
            $reach += $this->random->getInt(20, 220);
            $this->targets[] = [$reach, $share];
        }
        $this->decorate();
    }

    public function sessions(): int
    {
        return count($this->bars);
    }

    /**
     * @param int|null $pivot a number K: the case on mirrored prices p -> K - p
     * @param int      $scale all prices times this
     * @param int|null $read  only the first bars
     * @param int|null $bare  nothing but entries and a stop, so far away
     *
     * @return array<string, mixed>
     */
    public function input(?int $pivot = null, int $scale = 1, ?int $read = null, bool $finer = true, ?int $bare = null): array
    {
        $distance = static fn (int $units): string => sprintf('%d.%02d', intdiv($scale * $units, 100), $scale * $units % 100);
        $price = static fn (int $units): string => $distance($pivot === null ? $units : $pivot - $units);
        $row = static fn (int $n, int $half, int $o, int $h, int $l, int $c): array => [
            self::at($n, 30 * $half),
            self::date($n),
            $price($o),
            $price($pivot === null ? $h : $l),
            $price($pivot === null ? $l : $h),
            $price($c),
            100 + $n % 7,
        ];
        $bars = array_slice($this->bars, 0, $read ?? count($this->bars));
        $legs = [];
        $entries = [$this->close];
        foreach ($this->legs as $i => [$trigger, $share, $needs]) {
            if (isset($trigger['price'])) {
                $entries[$i] = $trigger['price'] + ($trigger['within'] ?? 0);
            }
            $legs[] = ['name' => "leg {$i}", 'share' => $share] + ($needs ? ['needs' => 'leg 0'] : []) + ['trigger' => self::told($trigger, $price, $distance)];
        }
        $stop = min($entries) - ($bare ?? $this->risk);
        $setup = [
            'side' => $pivot === null ? 'long' : 'short',
            'published_at' => self::at(self::EARLIER, -60),
            'entry_until' => self::at($this->until, 0),
            'legs' => $legs,
            'stop' => ['price' => $price($stop)] + ($bare === null ? $this->more['stop'] ?? [] : []),
        ];
        if ($bare === null) {
            $setup['targets'] = array_map(static fn (array $target): array => ['price' => $price(max($entries) + $target[0]), 'share' => $target[1]], $this->targets);
            $setup += self::told(array_diff_key($this->more, ['stop' => 0]), $price, $distance, $pivot !== null);
        }

        return [
            'instrument' => ['symbol' => 'REED.Q', 'decimals' => 2, 'tick' => $distance(1)],
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

    private function makeBars(int $sessions): void
    {
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
    }

    /** @return array<string, mixed> */
    private function trigger(): array
    {
        $below = $this->close - $this->random->getInt(-40, 220);
        $above = $this->close + $this->random->getInt(-40, 220);
        $worst = $this->odds(4) ? ['worst' => $above + $this->random->getInt(0, 80)] : [];

        return match ($this->random->getInt(0, 6)) {
            0 => ['kind' => 'touch', 'price' => $below, 'within' => $this->random->getInt(0, 3) * 5],
            1 => ['kind' => 'break', 'price' => $above] + ($this->odds(3) ? ['no_chase' => true] : []) + $worst,
            2 => ['kind' => 'close_beyond', 'price' => $above, 'timeframe' => $this->pick(self::FRAMES), 'fill' => $this->pick(['close', 'next_open']), 'times' => $this->random->getInt(1, 2)] + $worst,
            3 => ['kind' => 'retest', 'price' => $above, 'timeframe' => $this->pick(self::FRAMES), 'within' => $this->random->getInt(0, 2) * 5],
            4 => ['kind' => 'overshoot', 'price' => $below, 'beyond' => $this->random->getInt(0, 60), 'timeframe' => $this->pick(self::FRAMES), 'bars' => $this->random->getInt(1, 3)],
            5 => ['kind' => 'open'] + ($this->percents && $this->odds(2) ? ['gap_min_percent' => '-1', 'gap_max_percent' => '0.5'] : []) + $worst,
            default => ['kind' => 'market'] + $worst,
        };
    }

    private function decorate(): void
    {
        if ($this->odds(3)) {
            $this->more['stop'] = ['basis' => 'close', 'timeframe' => $this->pick(self::FRAMES), 'times' => $this->random->getInt(1, 2)];
        }
        if ($this->odds(3)) {
            $this->more['cancel'] = ['price' => $this->close - $this->random->getInt(10, 300)] + ($this->odds(2) ? ['basis' => 'touch'] : ['basis' => 'close', 'timeframe' => $this->pick(self::FRAMES)]);
        }
        if ($this->odds(3)) {
            $this->more['time_stop_sessions'] = $this->random->getInt(1, 6);
        }
        if ($this->odds(6)) {
            $this->more['open_exit'] = ['session' => 2] + ($this->percents ? ['gap_min_percent' => '0.2'] : []);
        }
        if ($this->odds(8)) {
            $this->more['last_session'] = self::date(self::EARLIER + $this->random->getInt(2, 9));
        }
        $conditions = [];
        if ($this->odds(3)) {
            $conditions[] = ['kind' => $this->pick(['average_above', 'average_below']), 'type' => $this->pick(['sma', 'ema']), 'period' => $this->random->getInt(1, 8)];
        }
        if ($this->percents && $this->odds(4)) {
            $conditions[] = ['kind' => $this->pick(['gap_max_percent', 'gap_min_percent']), 'value' => $this->pick(['0', '0.4', '-0.6'])];
            $conditions[] = ['kind' => $this->pick(['rsi_max', 'rsi_min']), 'period' => 3, 'value' => '50'];
        }
        if ($conditions !== []) {
            $this->more['conditions'] = $conditions;
        }
        $moves = [];
        for ($i = $this->random->getInt(0, 4) - 2; $i > 0; --$i) {
            $after = [['kind' => 'r', 'value' => '0.7'], ['kind' => 'sessions', 'value' => $this->random->getInt(1, 3)]];
            if ($this->targets !== []) {
                $after[] = ['kind' => 'target', 'number' => 1];
            }
            $moves[] = ['after' => $this->pick($after), 'to' => $this->pick([
                ['kind' => 'entry'],
                ['kind' => 'price', 'price' => $this->close - $this->random->getInt(-100, 100)],
                ['kind' => 'atr', 'timeframe' => $this->pick(self::FRAMES), 'period' => 3, 'multiple' => '1.3'],
                ['kind' => 'average', 'timeframe' => $this->pick(self::FRAMES), 'type' => $this->pick(['sma', 'ema']), 'period' => 3],
                ['kind' => 'swing', 'timeframe' => $this->pick(self::FRAMES), 'bars' => $this->random->getInt(1, 4)],
            ])];
        }
        if ($moves !== []) {
            $this->more['stop_moves'] = $moves;
        }
    }

    private function odds(int $one): bool
    {
        return $this->random->getInt(1, $one) === 1;
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $choices
     *
     * @return T
     */
    private function pick(array $choices): mixed
    {
        return $choices[$this->random->getInt(0, count($choices) - 1)];
    }

    /**
     * A part of the setup with its units told as prices and distances.
     *
     * @param array<array-key, mixed> $part
     * @param callable(int): string   $price
     * @param callable(int): string   $distance
     *
     * @return array<array-key, mixed>
     */
    private static function told(array $part, callable $price, callable $distance, bool $mirrored = false): array
    {
        foreach ($part as $key => $value) {
            if (is_array($value)) {
                $part[$key] = self::told($value, $price, $distance, $mirrored);
            } elseif (in_array($key, ['price', 'worst'], true) && is_int($value)) {
                $part[$key] = $price($value);
            } elseif (in_array($key, ['within', 'beyond'], true) && is_int($value)) {
                $part[$key] = $distance($value);
            } elseif ($mirrored && $key === 'kind') {
                // averages say the same for both sides
                $part[$key] = ['average_above' => 'average_below', 'average_below' => 'average_above'][$value] ?? $value;
            }
        }

        return $part;
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
