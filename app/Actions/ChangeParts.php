<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\PartRole;
use App\Models\Plan;
use App\Planning\PlanHistory;
use App\Planning\PlanParts;
use App\Planning\StaleChange;
use Illuminate\Validation\ValidationException;

/**
 * Adds, writes, orders and removes the texts of a plan.
 *
 * @phpstan-import-type PartState from PlanParts
 */
final class ChangeParts
{
    public function add(Plan $plan, PartRole $role, string $title, string $place): void
    {
        if (count($plan->parts) >= PlanParts::MOST) {
            throw ValidationException::withMessages(['title' => 'A plan has at most '.PlanParts::MOST.' texts.']);
        }
        $this->change($plan, "add the text {$title}", static fn (array $parts): array => [...$parts, PlanParts::blank($role, trim($title), $place)]);
    }

    /**
     * @param array{title?: string, text?: string, place?: string, readers?: string} $changes
     * @param string|null                                                            $was the words that were seen before they were changed; null leaves them out of it
     *
     * @throws ValidationException when someone else has changed the words meanwhile
     */
    public function write(Plan $plan, string $id, array $changes, ?string $was): void
    {
        $part = self::find($plan, $id);
        $this->change($plan, "the text {$part['title']}", static function (array $parts) use ($id, $changes, $was): array {
            foreach ($parts as $i => $one) {
                if ($one['id'] === $id) {
                    if (isset($changes['text']) && $was !== null && $one['text'] !== $was && $one['text'] !== $changes['text']) {
                        throw StaleChange::refuseText($one['text']);
                    }
                    $parts[$i] = [...$one, ...$changes];
                }
            }

            return $parts;
        });
    }

    public function move(Plan $plan, string $id, int $by): void
    {
        $part = self::find($plan, $id);
        $this->change($plan, "move the text {$part['title']}", static function (array $parts) use ($id, $by): array {
            $from = array_search($id, array_column($parts, 'id'), true);
            $to = max(0, min(count($parts) - 1, (int) $from + $by));
            $moved = array_splice($parts, (int) $from, 1);
            array_splice($parts, $to, 0, $moved);

            return $parts;
        });
    }

    public function remove(Plan $plan, string $id): void
    {
        $part = self::find($plan, $id);
        $this->change($plan, "remove the text {$part['title']}", static fn (array $parts): array => array_values(array_filter($parts, static fn (array $one): bool => $one['id'] !== $id)));
    }

    /** @param callable(list<PartState>): list<PartState> $change of the texts as they are now */
    private function change(Plan $plan, string $label, callable $change): void
    {
        PlanHistory::change($plan, $label, null, static function () use ($plan, $change): void {
            $plan->update(['parts' => $change($plan->parts)]);
        });
    }

    /** @return PartState */
    private static function find(Plan $plan, string $id): array
    {
        foreach ($plan->parts as $part) {
            if ($part['id'] === $id) {
                return $part;
            }
        }
        throw ValidationException::withMessages(['part' => 'This text is not there any more.']);
    }
}
