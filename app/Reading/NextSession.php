<?php

declare(strict_types=1);

namespace App\Reading;

use App\Data\ExpectedRangeData;
use App\Data\OddsData;
use App\Market\AverageSetting;
use Watchpost\Core\Indicators\ExpectedRange;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Statistics\TwoSessionOdds;

/** What the past of an instrument says of its next session, and the one after. */
final readonly class NextSession
{
    private const RANGE_SESSIONS = 250;

    public function expected(Series $days): ?ExpectedRangeData
    {
        $range = ExpectedRange::of($days->highs(), $days->lows(), $days->closes(), self::RANGE_SESSIONS);
        $last = $days->count() - 1;
        if ($last < 0 || $range['low'][$last] === null || $range['high'][$last] === null) {
            return null;
        }
        $price = static fn (float $value): string => $days->grid->format($days->grid->nearestTick($value * 10 ** $days->grid->decimals));

        return new ExpectedRangeData($price($range['low'][$last]), $price($range['high'][$last]), $range['held'][$last], $range['held_low'][$last], $range['held_high'][$last], self::RANGE_SESSIONS);
    }

    /** @param list<AverageSetting> $order */
    public function odds(Series $days, array $order): ?OddsData
    {
        $closes = $days->closes();
        $odds = TwoSessionOdds::of($days->highs(), $days->lows(), $closes, array_map(static fn (AverageSetting $one): array => $one->of($closes), $order));
        if ($odds === null) {
            return null;
        }
        $thirds = ['lower', 'middle', 'upper'];

        return new OddsData(
            "averages {$odds->order->label()}, close in the {$thirds[$odds->placeInRange]} third of 20 sessions, RSI in its {$thirds[$odds->rsiThird]} third",
            $odds->inState->cases ?? 0,
            $odds->inState?->share,
            $odds->inState?->low,
            $odds->inState?->high,
            $odds->isTooFew(),
            $odds->always->cases,
            $odds->always->share,
        );
    }
}
