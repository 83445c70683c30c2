<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\CorrectionData;
use App\Data\QualityData;
use App\Market\BarRepository;
use App\Market\Calendars;
use App\Models\BarCorrection;
use App\Models\Instrument;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\TimeFrame;

/** Sets the bars that are stored against the calendar: what is missing is told, never filled in. */
final readonly class BarQuality
{
    private const FINE_SECONDS = 300;
    private const SHOWN = 12;

    public function __construct(private BarRepository $bars, private Calendars $calendars, private MarketClock $clock, private TimeLabel $times)
    {
    }

    public function of(Instrument $instrument): QualityData
    {
        $calendar = $this->calendars->of($instrument);
        $now = $this->clock->moment();
        $first = $this->bars->firstDate($instrument);
        $until = min($calendar->finished($now)->date, $instrument->last_session ?? '9999');
        $expected = $first === null ? [] : array_map(static fn (Session $session): string => $session->date, $calendar->between($first, $until));
        $missing = array_values(array_diff($expected, $first === null ? [] : $this->bars->dates($instrument)));
        $fine = $this->bars->from($instrument, TimeFrame::FiveMinutes, 0);
        $present = count($fine);
        $sessions = $fine === [] ? [] : array_filter($calendar->between($fine[0]->session, $fine[$present - 1]->session), static fn (Session $session): bool => $session->close <= $now);
        $grid = $instrument->grid();
        $figures = static fn (array $bar): string => implode(' / ', array_map($grid->format(...), array_slice($bar, 0, 4))).', '.number_format($bar[4]);

        return new QualityData(
            $first === null ? null : $this->times->date($first),
            count($expected),
            count($missing),
            array_map($this->times->shortDate(...), array_slice(array_reverse($missing), 0, self::SHOWN)),
            count($sessions),
            $present,
            array_sum(array_map(static fn (Session $session): int => intdiv($session->close - $session->open, self::FINE_SECONDS), $sessions)),
            array_values(BarCorrection::query()->where('instrument_id', $instrument->id)->where('noticed_at', '<=', $now)->latest('id')->limit(50)->get()
                ->map(fn (BarCorrection $one): CorrectionData => new CorrectionData($one->timeframe === TimeFrame::Day ? $this->times->shortDate($one->session) : $this->times->short($one->starts_at), $one->timeframe->value, $figures($one->was), $figures($one->is), $one->held_back))
                ->all()),
        );
    }
}
