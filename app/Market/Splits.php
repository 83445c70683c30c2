<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Models\Instrument;
use App\Models\Split;
use Watchpost\Core\Market\Split as CoreSplit;

/** The splits of an instrument that are in force: those whose session has opened. */
final readonly class Splits
{
    public function __construct(private MarketClock $clock, private Calendars $calendars)
    {
    }

    /** @return list<CoreSplit> in order */
    public function of(Instrument $instrument): array
    {
        $splits = Split::query()->where('instrument_id', $instrument->id)->orderBy('session')->get();

        return array_values($splits->filter(fn (Split $split): bool => $this->isInForce($split, $instrument))->map(static fn (Split $split): CoreSplit => $split->core())->all());
    }

    /** @return list<CoreSplit> those in force whose session opened at or after a moment, and at the latest at another */
    public function since(Instrument $instrument, int $moment, int $until = PHP_INT_MAX): array
    {
        $calendar = $this->calendars->of($instrument);

        return array_values(array_filter($this->of($instrument), static function (CoreSplit $split) use ($calendar, $moment, $until): bool {
            $open = $calendar->countedFrom($split->session, 1)->open;

            return $open >= $moment && $open <= $until;
        }));
    }

    public function isInForce(Split $split, Instrument $instrument): bool
    {
        return $this->calendars->of($instrument)->countedFrom($split->session, 1)->open <= $this->clock->moment();
    }
}
