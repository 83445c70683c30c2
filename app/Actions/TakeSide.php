<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Models\Setup;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Setups\Side;

/** Says to which side the author leans before there is a whole setup; one that is begun turns with it. */
final class TakeSide
{
    /** @throws ValidationException when a whole setup says it already, or the instrument is only watched */
    public function __invoke(Candidate $candidate, ?Side $side): void
    {
        $symbol = $candidate->instrument->symbol;
        if (! $candidate->instrument->isTraded()) {
            throw ValidationException::withMessages(['side' => "{$symbol} is watched, not traded: it takes no side."]);
        }
        $planned = $candidate->setups->first(static fn (Setup $setup): bool => $setup->draft()->isComplete());
        if ($planned !== null && $planned->side !== $side) {
            throw ValidationException::withMessages(['side' => "{$symbol} has a {$planned->side->value} setup: turn that on its desk."]);
        }
        PlanHistory::change($candidate->plan, $side === null ? "leave the side of {$symbol} open" : "{$side->value} {$symbol}", $candidate->instrument_id, static function () use ($candidate, $side): void {
            $candidate->update(['side' => $side]);
            if ($side !== null) {
                $candidate->setups->each(static fn (Setup $setup) => $setup->update($setup->draft()->turned($side)->toState()));
            }
        });
    }
}
