<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Planning\DraftSetups;
use App\Planning\PriceInput;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

/** Changes one or several fields of the setup of a candidate. */
final class ChangeSetup
{
    /**
     * @param array{
     *     side?: string, trigger?: string, entry?: ?string, within?: ?string, no_chase?: bool, stop?: ?string,
     *     cancel?: ?string, good_for?: int, targets?: list<array{price: ?string, share: string}>
     * } $changes prices as typed
     */
    public function __invoke(Candidate $candidate, array $changes, ?PriceInput $prices = null): void
    {
        $prices ??= new PriceInput($candidate->instrument->grid());
        $draft = DraftSetups::of($candidate);
        $after = $draft->turned(isset($changes['side']) ? Side::from($changes['side']) : $draft->side)->replace(array_filter([
            'trigger' => isset($changes['trigger']) ? TriggerKind::from($changes['trigger']) : null,
            'noChase' => $changes['no_chase'] ?? null,
            'goodFor' => $changes['good_for'] ?? null,
        ], static fn (mixed $value): bool => $value !== null));
        foreach (['entry' => 'entry.price', 'stop' => 'stop.price', 'cancel' => 'cancel.price'] as $key => $field) {
            if (array_key_exists($key, $changes)) {
                $after = $after->replace([$key => self::price($changes[$key], $prices, $field)]);
            }
        }
        if (array_key_exists('within', $changes)) {
            $after = $after->replace(['within' => self::tolerance($changes['within'], $prices)]);
        }
        if (isset($changes['targets'])) {
            $after = $after->replace(['targets' => self::targets($changes['targets'], $prices)]);
        }
        DraftSetups::keep($candidate, $after, self::label($changes), self::field($changes));
    }

    private static function price(?string $text, PriceInput $prices, string $field): ?int
    {
        return $text === null || trim($text) === '' ? null : $prices->price($text, $field);
    }

    private static function tolerance(?string $text, PriceInput $prices): int
    {
        $isNone = $text === null || preg_match('/^0*(\.0*)?$/D', trim($text)) === 1;

        return $isNone ? 0 : $prices->units($text, 'entry.within');
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
     * The field at which a refusal is told: the one that was changed.
     *
     * @param array<string, mixed> $changes
     */
    private static function field(array $changes): ?string
    {
        if (array_key_exists('targets', $changes)) {
            return null; // the problem names the target itself
        }
        $fields = ['entry' => 'entry.price', 'within' => 'entry.within', 'stop' => 'stop.price', 'cancel' => 'cancel.price', 'good_for' => 'good_for', 'trigger' => 'trigger'];
        foreach ($fields as $key => $field) {
            if (array_key_exists($key, $changes)) {
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
