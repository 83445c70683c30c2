<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\TimeLabel;
use App\Data\FollowedData;
use App\Data\OutcomeData;
use App\Data\OutcomeEventData;
use App\Data\StripData;
use App\Data\UpdateData;
use App\Market\BarRepository;
use App\Models\BarCorrection;
use App\Models\Instrument;
use App\Models\Outcome as OutcomeRow;
use App\Models\PublishedSetup;
use App\Models\Update;
use App\Publishing\SplitNote;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Outcomes\Event;
use Watchpost\Core\Outcomes\EventKind;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Setups\RStrip;

/** Tells the outcome of a published setup. The figures are those of the engine, as of its last evaluation. */
final readonly class OutcomePresenter
{
    public function __construct(
        private TimeLabel $times,
        private BarRepository $bars,
        private Runs $runs,
        private SplitNote $splitNote,
        private JudgedBars $judged,
        private EventWords $words,
    ) {
    }

    /** A published setup as it was published, and if there is an update, as it was managed; null while it was never evaluated. */
    public function followed(PublishedSetup $published, SealedSetup $sealed): ?FollowedData
    {
        return $published->outcome === null ? null : new FollowedData(
            $this->present($published, $sealed, $published->outcome),
            $published->managed === null ? null : $this->present($published, $sealed, $published->managed),
            array_values($published->updates->map(fn (Update $update): UpdateData => new UpdateData(
                $update->id,
                $this->times->full($update->at),
                UpdateWords::of($update),
                $update->text,
                $update->refused_because === null ? null : 'Had no effect: it '.rtrim($update->refused_because, '.').'.',
            ))->all()),
        );
    }

    public function present(PublishedSetup $published, SealedSetup $sealed, OutcomeRow $row): OutcomeData
    {
        [$run, $outcome] = $this->runs->told($published, $sealed, $row);
        $fill = $run->position->wasFilled()
            ? $sealed->setup->side->sign() * $run->position->averageFill()->dividedBy($run->terms->scale->published)->toScale(0, RoundingMode::HALF_UP)->toInt()
            : null;
        $close = $outcome->status->isAlive() ? $this->bars->lastClose($published->instrument) : null;
        $now = $close === null ? null : $this->splitNote->ratio($published->instrument, $sealed->setup->publishedAt)->multipliedBy($close)->toScale(0, RoundingMode::HALF_UP)->toInt();

        return new OutcomeData(
            $outcome->status,
            $this->label($outcome),
            $this->times->full($row->as_of),
            $outcome->r,
            $outcome->rRealised,
            $outcome->rOpen,
            $outcome->percent,
            $outcome->perUnit,
            $outcome->averageFill,
            $outcome->sessionsHeld,
            $outcome->mfeR,
            $outcome->maeR,
            $outcome->ambiguous,
            $this->missed($outcome),
            $outcome->targetFirst === null ? null : $this->times->date($outcome->targetFirst),
            array_map(fn (Event $event): OutcomeEventData => $this->event($event, $published->instrument), $outcome->events),
            StripData::of(RStrip::followed($sealed->setup, $outcome, $fill, $now)),
            $this->remarks($published, $sealed),
        );
    }

    private function label(Outcome $outcome): string
    {
        return match ($outcome->status) {
            OutcomeStatus::Waiting => 'waiting',
            OutcomeStatus::Open => $this->partIsTaken($outcome) ? 'open, part taken' : 'open',
            OutcomeStatus::Closed => 'closed',
            OutcomeStatus::NotTriggered => 'not triggered',
            OutcomeStatus::Cancelled => 'cancelled before entry',
            OutcomeStatus::Void => 'void',
        };
    }

    private function partIsTaken(Outcome $outcome): bool
    {
        return array_filter($outcome->events, static fn (Event $event): bool => $event->kind === EventKind::Target) !== [];
    }

    /** @return list<string> */
    private function remarks(PublishedSetup $published, SealedSetup $sealed): array
    {
        $remarks = array_map(fn (BarCorrection $correction): string => $this->correction($correction, $sealed->grid), $this->judged->correctionsOf($published, $sealed->judgedOn));
        $split = $this->splitNote->of($published->instrument, $sealed->setup->publishedAt, $sealed->grid, $sealed->setup);

        return $split === null ? $remarks : [$split, ...$remarks];
    }

    /** A bar told otherwise later: both figures, and that the first ones count. */
    private function correction(BarCorrection $correction, PriceGrid $grid): string
    {
        $figures = static fn (array $bar): string => implode(' / ', array_map($grid->format(...), array_slice($bar, 0, 4)));

        return "The bar of {$this->times->short($correction->starts_at)} was told otherwise later: judged on {$figures($correction->was)}, corrected to {$figures($correction->is)} (open / high / low / close).";
    }

    private function missed(Outcome $outcome): ?string
    {
        if ($outcome->missedBy === null) {
            return null;
        }

        return "missed by {$outcome->missedBy['price']} ({$outcome->missedBy['percent']} %) on {$this->times->date($outcome->missedBy['session'])}";
    }

    private function event(Event $event, Instrument $instrument): OutcomeEventData
    {
        $details = $event->details;
        $gap = ($details['gap'] ?? false) === true;
        $what = $this->words->of($event);
        $notes = [...($gap ? ['at the open, beyond the planned price'] : []), ...($event->assumed ? ['order within the bar assumed'] : [])];

        return new OutcomeEventData(
            $this->times->short($event->at),
            $event->session,
            $what,
            $event->kind === EventKind::Fill,
            $event->kind->isExit(),
            isset($details['price']) ? (string) $details['price'] : null,
            isset($details['price']) && $event->session !== null ? (float) $details['price'] / $this->splitNote->ratioSince($instrument, $event->session)->toFloat() : null,
            isset($details['share']) ? (string) $details['share'] : null,
            implode('; ', $notes),
        );
    }
}
