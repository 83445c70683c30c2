<?php

declare(strict_types=1);

namespace App\Rehearsing;

use App\Clock\TimeLabel;
use App\Data\OutcomeEventData;
use App\Data\RehearsedCaseData;
use App\Data\StripData;
use App\Market\ChartBuilder;
use App\Market\ChartSettings;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\Rehearsal;
use App\Record\EventWords;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Outcomes\Event;
use Watchpost\Core\Outcomes\EventKind;
use Watchpost\Core\Setups\RStrip;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Target;

/** Shows one case of a rehearsal on its chart. */
final readonly class RehearsedCasePresenter
{
    private const BEFORE = 90;
    private const AFTER = 10;

    public function __construct(private Pasts $pasts, private ChartBuilder $charts, private TimeLabel $times, private EventWords $words, private ExchangeCalendar $calendar)
    {
    }

    /** Null when there is no such case, or its bars have changed since. */
    public function show(Rehearsal $rehearsal, int $number, Candidate $candidate): ?RehearsedCaseData
    {
        $case = $rehearsal->rehearsedCases()[$number] ?? null;
        $instrument = $case === null ? null : Instrument::query()->where('symbol', $case->symbol)->first();
        $past = $instrument === null ? null : $this->pasts->of($instrument, $rehearsal->sessions);
        if ($case === null || $instrument === null || $past === null) {
            return null;
        }
        $rule = $rehearsal->toRule();
        $again = $this->pasts->rehearsal($rehearsal)->again($past, $case->session, $case->level);
        $evening = array_search($case->session, $past->series->session, true);
        if ($again === null || ! is_int($evening)) {
            return null;
        }
        [$setup, $outcome] = $again;
        $grid = $past->series->grid;
        $last = count($past->bars) - 1;
        $end = $case->ended === null ? $last : (int) array_search($case->ended, $past->series->session, true);
        $until = min($last, $end + self::AFTER);

        return new RehearsedCaseData(
            $number,
            count($rehearsal->cases),
            $candidate->id,
            $instrument->symbol,
            $instrument->name,
            $this->times->plainDate($case->session),
            $rule->at->words(),
            $grid->format($case->level),
            $setup->side,
            (new Sentence($grid, $this->calendar->zone))->of($setup),
            array_map($grid->format(...), array_values($setup->entryPrices())),
            $grid->format($setup->stop),
            array_map(static fn (Target $target): string => $grid->format($target->price), $setup->targets),
            $this->charts->chart($instrument, $until - $evening + self::BEFORE, ChartSettings::usual(), publishedAt: $past->bars[$evening]->end, until: $past->bars[$until]->end),
            $until - $evening,
            RehearsalPresenter::outcome($case),
            $outcome->r,
            StripData::of(RStrip::planned($setup->side, $setup->rScale($past->series->close[$evening]), array_map(static fn (Target $target): int => $target->price, $setup->targets), $past->series->close[$evening])),
            array_map(fn (Event $event): OutcomeEventData => $this->event($event), $outcome->events),
        );
    }

    private function event(Event $event): OutcomeEventData
    {
        $price = isset($event->details['price']) ? (string) $event->details['price'] : null;

        return new OutcomeEventData(
            $event->session === null ? '' : $this->times->shortDate($event->session),
            $event->session,
            $this->words->of($event),
            $event->kind === EventKind::Fill,
            $event->kind->isExit(),
            $price,
            $price === null ? null : (float) $price,
            isset($event->details['share']) ? (string) $event->details['share'] : null,
            $event->assumed ? 'order within the bar assumed' : '',
        );
    }
}
