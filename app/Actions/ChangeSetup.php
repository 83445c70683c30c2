<?php

declare(strict_types=1);

namespace App\Actions;

use App\Planning\PriceInput;
use App\Planning\SetupParts;
use App\Planning\Variant;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\CancelSide;
use Watchpost\Core\Setups\CloseRule;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

/**
 * Changes one or several parts of the setup of a candidate.
 *
 * @phpstan-type LegChange array{
 *     name?: string, share?: string, kind?: string, price?: ?string, within?: ?string, noChase?: bool, timeframe?: string, times?: int,
 *     nextOpen?: bool, beyond?: ?string, bars?: int, worst?: ?string, gapMin?: ?string, gapMax?: ?string, needs?: ?string
 * }
 * @phpstan-type Changes array{
 *     side?: string, trigger?: string, entry?: ?string, within?: ?string, no_chase?: bool, legs?: non-empty-list<LegChange>,
 *     leg?: array{number: int, price: ?string},
 *     stop?: ?string, stop_closes?: array{timeframe: string, times: int}|null, cancel?: ?string, cancel_side?: string,
 *     cancel_closes?: array{timeframe: string, times: int}|null, good_for?: int,
 *     targets?: list<array{price: ?string, share: string}>, conditions?: list<array<string, mixed>>, stop_moves?: list<array<string, mixed>>,
 *     time_stop?: ?int, open_exit?: array{session: int, gapMin?: ?string}|null
 * }
 */
final readonly class ChangeSetup
{
    public function __construct(private ExchangeCalendar $calendar)
    {
    }

    /** @param Changes $changes prices as typed */
    public function __invoke(Variant $variant, array $changes, ?PriceInput $prices = null): void
    {
        $prices ??= new PriceInput($variant->candidate->instrument->grid());
        $draft = $variant->draft();
        $after = $draft->turned(isset($changes['side']) ? Side::from($changes['side']) : $draft->side);
        if (isset($changes['legs'])) {
            $after = $after->replace(['legs' => self::legs($changes['legs'], $prices)]);
        }
        $after = self::leg($after, $changes, $prices);
        foreach (['stop' => 'stop.price', 'cancel' => 'cancel.price'] as $key => $field) {
            if (array_key_exists($key, $changes)) {
                $after = $after->replace([$key => self::price($changes[$key], $prices, $field)]);
            }
        }
        if (isset($changes['targets'])) {
            $after = $after->replace(['targets' => self::targets($changes['targets'], $prices)]);
        }
        $variant->keep($this->parts($after, $changes), self::label($changes), self::field($changes));
    }

    /** @param Changes $changes */
    private static function leg(Draft $draft, array $changes, PriceInput $prices): Draft
    {
        $change = [];
        if (isset($changes['trigger'])) {
            $change['kind'] = TriggerKind::from($changes['trigger']);
        }
        if (array_key_exists('entry', $changes)) {
            $change['price'] = self::price($changes['entry'], $prices, 'entry.price');
        }
        if (array_key_exists('within', $changes)) {
            $change['within'] = self::distance($changes['within'], $prices, 'entry.within');
        }
        if (isset($changes['no_chase'])) {
            $change['noChase'] = $changes['no_chase'];
        }
        $after = $change === [] ? $draft : $draft->withLeg(0, $draft->entry()->replace($change));
        if (isset($changes['leg'], $after->legs[$changes['leg']['number']])) {
            $number = $changes['leg']['number'];
            $after = $after->withLeg($number, $after->legs[$number]->replace(['price' => self::price($changes['leg']['price'], $prices, "legs.{$number}.price")]));
        }

        return $after;
    }

    /** @param Changes $changes */
    private function parts(Draft $draft, array $changes): Draft
    {
        $after = [];
        if (isset($changes['good_for'])) {
            $after['goodFor'] = $changes['good_for'];
        }
        foreach (['stop_closes' => 'stopCloses', 'cancel_closes' => 'cancelCloses'] as $key => $part) {
            if (array_key_exists($key, $changes)) {
                $after[$part] = $changes[$key] === null ? null : new CloseRule(TimeFrame::from($changes[$key]['timeframe']), $changes[$key]['times']);
            }
        }
        if (isset($changes['cancel_side'])) {
            $after['cancelSide'] = CancelSide::from($changes['cancel_side']);
        }
        if (isset($changes['conditions'])) {
            $after['conditions'] = array_map(fn (array $typed): array => SetupParts::condition($typed, $this->calendar->zone), $changes['conditions']);
        }
        if (isset($changes['stop_moves'])) {
            $after['stopMoves'] = array_map(SetupParts::stopMove(...), $changes['stop_moves']);
        }
        if (array_key_exists('time_stop', $changes)) {
            $after['timeStop'] = $changes['time_stop'];
        }
        if (array_key_exists('open_exit', $changes)) {
            $exit = $changes['open_exit'];
            $gap = trim((string) ($exit['gapMin'] ?? ''));
            $after['openExit'] = $exit === null ? null : ['session' => $exit['session']] + ($gap === '' ? [] : ['gap_min_percent' => $gap]);
        }

        return $after === [] ? $draft : $draft->replace($after);
    }

    /**
     * @param non-empty-list<LegChange> $legs
     *
     * @return non-empty-list<DraftLeg>
     */
    private static function legs(array $legs, PriceInput $prices): array
    {
        $read = [];
        foreach ($legs as $i => $leg) {
            $field = $i === 0 ? 'entry' : "legs.{$i}";
            $text = static fn (?string $typed): ?string => trim((string) $typed) === '' ? null : trim((string) $typed);
            $read[] = new DraftLeg(
                TriggerKind::from($leg['kind'] ?? 'touch'),
                self::price($leg['price'] ?? null, $prices, "{$field}.price"),
                self::distance($leg['within'] ?? null, $prices, "{$field}.within"),
                $leg['noChase'] ?? false,
                $text($leg['name'] ?? null) ?? ($i === 0 ? Draft::LEG : "part {$i}"),
                $leg['share'] ?? '1',
                $text($leg['needs'] ?? null),
                TimeFrame::from($leg['timeframe'] ?? '1d'),
                $leg['times'] ?? 1,
                $leg['nextOpen'] ?? false,
                self::distance($leg['beyond'] ?? null, $prices, "{$field}.beyond"),
                $leg['bars'] ?? 1,
                self::price($leg['worst'] ?? null, $prices, "{$field}.worst"),
                $text($leg['gapMin'] ?? null),
                $text($leg['gapMax'] ?? null),
            );
        }

        return $read;
    }

    private static function price(?string $text, PriceInput $prices, string $field): ?int
    {
        return $text === null || trim($text) === '' ? null : $prices->price($text, $field);
    }

    private static function distance(?string $text, PriceInput $prices, string $field): int
    {
        $isNone = $text === null || preg_match('/^0*(\.0*)?$/D', trim($text)) === 1;

        return $isNone ? 0 : $prices->units($text, $field);
    }

    /**
     * @param list<array{price: ?string, share: string}> $targets
     *
     * @return list<DraftTarget> those without a price left out
     */
    private static function targets(array $targets, PriceInput $prices): array
    {
        $read = [];
        foreach ($targets as $i => $target) {
            $price = self::price($target['price'], $prices, "targets.{$i}.price");
            if ($price !== null) {
                $read[] = new DraftTarget($price, $target['share']);
            }
        }

        return $read;
    }

    /**
     * The field at which a refusal is told: the one that was changed, if the problem does not name a better one.
     *
     * @param array<string, mixed> $changes
     */
    private static function field(array $changes): ?string
    {
        $fields = ['entry' => 'entry.price', 'within' => 'entry.within', 'stop' => 'stop.price', 'cancel' => 'cancel.price', 'good_for' => 'good_for', 'trigger' => 'trigger'];
        foreach ($fields as $key => $field) {
            if (array_key_exists($key, $changes) && count($changes) === 1) {
                return $field;
            }
        }

        return null;
    }

    /** @param array<string, mixed> $changes */
    private static function label(array $changes): string
    {
        return str_replace('_', ' ', implode(', ', array_keys($changes)) ?: 'setup');
    }
}
