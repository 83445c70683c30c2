<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\ConditionData;
use App\Data\StopMoveData;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Setups\Conditions\Condition;
use Watchpost\Core\Setups\StopMoves\StopMove;
use Watchpost\Core\Setups\Words;

/** The parts of a setup that are lines of their own: told in the form of the rules, edited field by field. */
final class SetupParts
{
    public const MOMENT = 'Y-m-d H:i';
    private const MINUTES = ['not_before_minutes', 'not_after_minutes'];

    /**
     * A condition as it was filled in, in the form of the rules; fields its kind does not know are left out. A moment is
     * typed in the exchange's time.
     *
     * @param array<string, mixed> $typed
     *
     * @return array<string, mixed>
     */
    public static function condition(array $typed, \DateTimeZone $zone): array
    {
        $kind = is_string($typed['kind'] ?? null) ? $typed['kind'] : '';
        $fields = match (true) {
            $kind === 'blackout' => ['from', 'to'],
            str_starts_with($kind, 'average_') => ['type', 'period'],
            str_starts_with($kind, 'rsi_') => ['period', 'value'],
            str_starts_with($kind, 'index_') => ['symbol', 'price'],
            default => ['value'],
        };
        $rules = self::fields($typed, ['kind', ...$fields]);
        if (in_array($kind, self::MINUTES, true)) {
            $rules['value'] = self::whole($rules['value'] ?? null);
        }

        foreach ($kind === 'blackout' ? ['from', 'to'] : [] as $name) {
            $rules[$name] = self::moment($rules[$name], $zone);
        }

        return $rules;
    }

    /**
     * A move of the stop as it was filled in, in the form of the rules.
     *
     * @param array<string, mixed> $typed
     *
     * @return array{after: array<string, mixed>, to: array<string, mixed>}
     */
    public static function stopMove(array $typed): array
    {
        $after = match ($typed['after'] ?? null) {
            'target' => ['kind' => 'target', 'number' => self::whole($typed['afterValue'] ?? null)],
            'sessions' => ['kind' => 'sessions', 'value' => self::whole($typed['afterValue'] ?? null)],
            default => ['kind' => $typed['after'] ?? '', 'value' => $typed['afterValue'] ?? ''],
        };
        $to = $typed['to'] ?? '';
        $fields = match ($to) {
            'price' => ['price'],
            'target' => ['number'],
            'atr' => ['timeframe', 'period', 'multiple'],
            'average' => ['timeframe', 'type', 'period'],
            'swing' => ['timeframe', 'bars'],
            default => [],
        };

        return ['after' => $after, 'to' => ['kind' => $to] + self::fields($typed, $fields)];
    }

    /** @param array<string, mixed> $rules in the form of the rules */
    public static function conditionData(array $rules, Condition $condition, Words $words, \DateTimeZone $zone): ConditionData
    {
        $text = static fn (string $key): ?string => isset($rules[$key]) && is_scalar($rules[$key]) ? (string) $rules[$key] : null;

        $moment = static fn (string $key): ?string => isset($rules[$key]) && is_string($rules[$key]) ? (new \DateTimeImmutable($rules[$key]))->setTimezone($zone)->format(self::MOMENT) : null;

        return new ConditionData($condition->kind(), $text('value'), $text('type'), $text('period'), $text('symbol'), $text('price'), $moment('from'), $moment('to'), ucfirst($condition->describe($words)));
    }

    /** @param array<string, array<string, mixed>> $rules in the form of the rules */
    public static function stopMoveData(array $rules, StopMove $move, Words $words): StopMoveData
    {
        $text = static fn (string $part, string $key): ?string => isset($rules[$part][$key]) && is_scalar($rules[$part][$key]) ? (string) $rules[$part][$key] : null;

        return new StopMoveData(
            (string) $text('after', 'kind'),
            $text('after', 'value') ?? $text('after', 'number'),
            (string) $text('to', 'kind'),
            $text('to', 'price'),
            $text('to', 'number'),
            $text('to', 'timeframe'),
            $text('to', 'type'),
            $text('to', 'period'),
            $text('to', 'multiple'),
            $text('to', 'bars'),
            ucfirst($move->describe($words)),
        );
    }

    /**
     * @param array<string, mixed> $typed
     * @param list<string>         $names
     *
     * @return array<string, mixed>
     */
    private static function fields(array $typed, array $names): array
    {
        $fields = [];
        foreach ($names as $name) {
            $value = $typed[$name] ?? '';
            $fields[$name] = in_array($name, ['period', 'bars', 'number'], true) ? self::whole($value) : $value;
        }

        return $fields;
    }

    /** A moment as it was typed, "2026-10-20 14:00", in UTC; what is none is left for the rules to refuse. */
    private static function moment(mixed $value, \DateTimeZone $zone): mixed
    {
        $moment = is_string($value) ? \DateTimeImmutable::createFromFormat('!'.self::MOMENT, trim($value), $zone) : false;

        return $moment === false ? $value : Instant::format($moment->getTimestamp());
    }

    /** A count as it was typed; what is no whole number is left for the rules to refuse. */
    private static function whole(mixed $value): mixed
    {
        return is_string($value) && preg_match('/^\d{1,9}$/D', $value) === 1 ? (int) $value : $value;
    }
}
