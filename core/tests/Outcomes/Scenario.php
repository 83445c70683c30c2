<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;

/**
 * The input of one evaluation, built up in a test: published on the evening of 14 October 2026, day bars from the
 * 15th on unless said otherwise.
 *
 * @phpstan-type BarRow array{string, string, string, string, string, string, int}
 */
final class Scenario
{
    private const SESSIONS = ['2026-10-15', '2026-10-16', '2026-10-20', '2026-10-21', '2026-10-22', '2026-10-23', '2026-10-26', '2026-10-27'];

    /** @var array<string, mixed> */
    private array $setup;

    /** @var list<BarRow> */
    private array $bars = [];

    /** @var list<BarRow> */
    private array $finer = [];

    /** @var array<string, mixed> */
    private array $costs = [];

    /** @var list<array{session: string, ratio: string}> */
    private array $splits = [];

    /** @var array<string, mixed> */
    private array $given = [];

    /** How many bars lie before the publication. */
    private int $earlier = 0;

    private string $asOf = '2026-11-20T16:00:00Z';

    /** @param array<string, mixed> $trigger */
    private function __construct(string $side, array $trigger, string $stop)
    {
        $this->setup = [
            'side' => $side,
            'published_at' => '2026-10-14T18:00:00Z',
            'entry_until' => '2026-10-22T15:00:00Z',
            'legs' => [['name' => 'entry', 'share' => '1', 'trigger' => $trigger]],
            'stop' => ['price' => $stop],
        ];
    }

    public static function touch(string $side, string $price, string $stop, ?string $within = null): self
    {
        return new self($side, ['kind' => 'touch', 'price' => $price] + ($within === null ? [] : ['within' => $within]), $stop);
    }

    public static function break(string $side, string $price, string $stop, bool $noChase = false): self
    {
        return new self($side, ['kind' => 'break', 'price' => $price] + ($noChase ? ['no_chase' => true] : []), $stop);
    }

    /**
     * Legs of equal shares unless a leg says its own.
     *
     * @param list<array<string, mixed>> $triggers each with perhaps "name", "needs" and "share" beside its own keys
     */
    public static function legs(string $side, array $triggers, string $stop): self
    {
        $scenario = new self($side, [], $stop);
        $scenario->setup['legs'] = [];
        foreach ($triggers as $i => $trigger) {
            $leg = ['name' => $trigger['name'] ?? 'leg '.($i + 1), 'share' => $trigger['share'] ?? (string) (1 / count($triggers))];
            if (isset($trigger['needs'])) {
                $leg['needs'] = $trigger['needs'];
            }
            unset($trigger['name'], $trigger['needs'], $trigger['share']);
            $scenario->setup['legs'][] = $leg + ['trigger' => $trigger];
        }

        return $scenario;
    }

    /** Another key of the setup. */
    public function with(string $key, mixed $value): self
    {
        $this->setup[$key] = $value;

        return $this;
    }

    /** Another key of the input beside the setup. */
    public function given(string $key, mixed $value): self
    {
        $this->given[$key] = $value;

        return $this;
    }

    /**
     * Day bars before the publication, the last one on 14 October.
     *
     * @param list<string> $prices
     */
    public function before(array $prices, int $volume = 1_000): self
    {
        $rows = [];
        foreach ($prices as $i => $line) {
            $date = gmdate('Y-m-d', (int) strtotime('2026-10-14') - 86_400 * (count($prices) - 1 - $i));
            $rows[] = self::row("{$date}T08:30:00Z", $date, $line, $volume);
        }
        $this->bars = [...$rows, ...$this->bars];
        $this->earlier = count($prices);

        return $this;
    }

    /** @param array<string, string> $targets share by price */
    public function targets(array $targets): self
    {
        $this->setup['targets'] = [];
        foreach ($targets as $price => $share) {
            $this->setup['targets'][] = ['price' => (string) $price, 'share' => $share];
        }

        return $this;
    }

    public function cancel(string $price, ?string $side = null): self
    {
        $this->setup['cancel'] = ['price' => $price, 'basis' => 'touch'] + ($side === null ? [] : ['side' => $side]);

        return $this;
    }

    public function costs(int $ticks, string $commission): self
    {
        $this->costs = ['slippage_ticks' => $ticks, 'commission_per_unit' => $commission];

        return $this;
    }

    public function split(string $session, string $ratio): self
    {
        $this->splits[] = ['session' => $session, 'ratio' => $ratio];

        return $this;
    }

    public function publishedAt(string $moment): self
    {
        $this->setup['published_at'] = $moment;

        return $this;
    }

    /** A day bar, in the order of the sessions from 15 October on. "open / high / low / close" */
    public function day(string $prices, int $volume = 1_000): self
    {
        $date = self::SESSIONS[count($this->bars) - $this->earlier];
        $this->bars[] = self::row("{$date}T08:30:00Z", $date, $prices, $volume);

        return $this;
    }

    public function bar(string $start, string $session, string $prices): self
    {
        $this->bars[] = self::row($start, $session, $prices);

        return $this;
    }

    /** A base bar of 30 minutes: number 0 is the first of its session, which opens at 08:30. */
    public function half(string $date, int $number, string $prices, int $volume = 1_000): self
    {
        $this->given['timeframe'] = '30m';
        unset($this->given['finer']);
        $start = gmdate('Y-m-d\TH:i:s\Z', (int) strtotime("{$date}T08:30:00Z") + 1_800 * $number);
        $this->bars[] = self::row($start, $date, $prices, $volume);

        return $this;
    }

    /** A bar of 30 minutes inside a session of day(): number 0 is the first. */
    public function finer(string $date, int $number, string $prices): self
    {
        $start = gmdate('Y-m-d\TH:i:s\Z', (int) strtotime("{$date}T08:30:00Z") + 1_800 * $number);
        $this->finer[] = self::row($start, $date, $prices);

        return $this;
    }

    public function asOf(string $moment): self
    {
        $this->asOf = $moment;

        return $this;
    }

    /** @return array<string, mixed> the JSON input */
    public function input(): array
    {
        return $this->given + [
            'instrument' => ['symbol' => 'GORSE.Q', 'decimals' => 2, 'tick' => '0.01'],
            'setup' => $this->setup,
            'costs' => $this->costs,
            'timeframe' => '1d',
            'bars' => $this->bars,
            'finer' => ['timeframe' => ($this->given['timeframe'] ?? '1d') === '1d' ? '30m' : '5m', 'bars' => $this->finer],
            'splits' => $this->splits,
            'as_of' => $this->asOf,
        ];
    }

    public function outcome(): Outcome
    {
        $input = $this->input();
        if ($this->costs === []) {
            unset($input['costs']);
        }

        return OutcomeReader::read(Node::of($input))->answer(new OutcomeEngine())[0];
    }

    /**
     * The events in one line each: "fill 26.00 x1", with "gap" and "assumed" where they hold.
     *
     * @return list<string>
     */
    public function story(): array
    {
        return array_map(self::line(...), $this->outcome()->toArray()['events']);
    }

    /** @param array<string, mixed> $event */
    public static function line(array $event): string
    {
        $words = [
            $event['kind'].(isset($event['number']) ? " {$event['number']}" : ''),
            $event['reason'] ?? null,
            $event['price'] ?? null,
            isset($event['share']) ? "x{$event['share']}" : null,
            ($event['gap'] ?? false) ? 'gap' : null,
            $event['assumed'] ? 'assumed' : null,
        ];

        return implode(' ', array_filter($words, static fn (?string $word): bool => $word !== null));
    }

    /** @return BarRow */
    private static function row(string $start, string $session, string $prices, int $volume = 1_000): array
    {
        [$open, $high, $low, $close] = array_map('trim', explode('/', $prices));

        return [$start, $session, $open, $high, $low, $close, $volume];
    }
}
