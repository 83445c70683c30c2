<?php

declare(strict_types=1);

namespace App\Reviewing;

use App\Clock\TimeLabel;
use App\Data\ReviewData;
use App\Data\ReviewGroupData;
use App\Data\ReviewItemData;
use App\Data\ReviewLevelData;
use App\Enums\Relation;
use App\Levels\LevelReader;
use App\Levels\LevelWords;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Models\Edition;
use App\Models\Level;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use App\Record\InR;
use App\Record\OutcomePresenter;
use App\Record\UpdateOffers;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Outcomes\OutcomeStatus;

/** Shows what came of what was published: the sealed words beside what happened, realised and open apart. */
final readonly class ReviewPresenter
{
    public function __construct(
        private EditionReader $editions,
        private OutcomePresenter $outcomes,
        private UpdateOffers $offers,
        private TimeLabel $times,
        private BarRepository $bars,
        private LevelReader $levels,
    ) {
    }

    public function of(Plan $plan): ReviewData
    {
        $back = LookBack::of($plan->author);
        $candidates = $back->candidates($plan);
        $groups = [];
        // on other pages only the count of what is unsettled is told, without the documents behind it
        foreach ($back->setups->load(['edition', 'instrument', 'updates']) as $one) {
            $item = $this->item($one, $candidates->get($one->instrument_id));
            $groups[$item->followed->outcome->status->value][] = $item;
        }
        $all = static fn (OutcomeStatus ...$statuses): array => array_merge(...array_map(static fn (OutcomeStatus $status): array => $groups[$status->value] ?? [], array_values($statuses)));
        $closed = $all(OutcomeStatus::Closed);
        $open = $all(OutcomeStatus::Open);
        $waiting = $all(OutcomeStatus::Waiting);
        $notTriggered = $all(OutcomeStatus::NotTriggered);
        $never = $all(OutcomeStatus::Void, OutcomeStatus::Cancelled);
        usort($closed, static fn (ReviewItemData $a, ReviewItemData $b): int => (float) $b->followed->outcome->r <=> (float) $a->followed->outcome->r);

        return new ReviewData(
            $back->last === null ? '' : "edition {$back->last->number}, published {$this->times->full($back->last->published_at)}",
            array_values(array_filter([
                new ReviewGroupData('closed', 'Ended', $closed),
                new ReviewGroupData('open', 'Open', $open),
                new ReviewGroupData('waiting', 'Waiting', $waiting),
                new ReviewGroupData('not_triggered', 'Not triggered', $notTriggered),
                new ReviewGroupData('never', 'Void or cancelled', $never),
            ], static fn (ReviewGroupData $group): bool => $group->items !== [])),
            count($closed),
            $closed === [] ? null : InR::sum(array_map(static fn (ReviewItemData $item): ?string => $item->followed->outcome->r, $closed)),
            $closed === [] ? null : self::told($closed[0]),
            count($closed) < 2 ? null : self::told($closed[count($closed) - 1]),
            count($open),
            $open === [] ? null : InR::sum(array_map(static fn (ReviewItemData $item): ?string => $item->followed->outcome->rOpen, $open)),
            count($waiting),
            count($notTriggered),
            count($never),
            $back->last === null ? [] : $this->levels($plan, $back->last),
        );
    }

    private function item(PublishedSetup $one, ?Candidate $candidate): ReviewItemData
    {
        $sealed = $this->editions->setup($one->edition, $one->key);
        $isAlive = LookBack::isAlive($one);

        return new ReviewItemData(
            $one->id,
            $one->edition->number,
            $one->key,
            $one->instrument->symbol,
            $one->instrument->name,
            $sealed->name,
            $one->kind,
            $this->times->full($one->edition->published_at),
            $sealed->sentence,
            $this->outcomes->followed($one, $sealed) ?? throw new \LogicException('Only what is followed is looked back on.'),
            $one->review?->reason,
            $one->review?->result,
            $one->review->note ?? '',
            $one->review->is_let_go ?? false,
            $isAlive ? [Relation::Still, Relation::Replaces, Relation::AddsTo] : [Relation::Continues],
            $candidate?->carried_id === null ? null : $candidate->relation,
            $candidate?->id,
            $this->offers->of($one, $sealed),
            LookBack::isSettled($one, $candidate),
        );
    }

    /**
     * What price made of the author's levels on the instruments of the last edition and of the plan since then.
     *
     * @return list<ReviewLevelData> by symbol, the latest first
     */
    private function levels(Plan $plan, Edition $last): array
    {
        $since = gmdate('Y-m-d', $last->published_at);
        $instruments = $last->publishedSetups()->pluck('instrument_id')->merge($plan->candidates()->pluck('instrument_id'))->unique();
        $rows = [];
        foreach (Level::query()->with('instrument')->where('author_id', $plan->author_id)->whereIn('instrument_id', $instruments)->whereNull('retired_at')->get()->groupBy('instrument_id') as $levels) {
            $instrument = $levels[0]->instrument ?? throw new \LogicException('A group holds at least one.');
            $days = $this->bars->days($instrument, LevelReader::DAYS);
            if ($days->count() === 0) {
                continue;
            }
            foreach ($this->levels->readAll($levels, new LevelInput($days)) as $reading) {
                $touch = $reading->since === [] ? null : $reading->since[count($reading->since) - 1];
                if ($touch !== null && $touch->session > $since) {
                    $rows[] = [$touch->session, new ReviewLevelData($instrument->symbol, LevelWords::of($reading->level, $instrument->grid()), $reading->label, $touch->kind, $this->times->shortDate($touch->session))];
                }
            }
        }
        usort($rows, static fn (array $a, array $b): int => [$a[1]->symbol, $b[0]] <=> [$b[1]->symbol, $a[0]]);

        return array_column($rows, 1);
    }

    private static function told(ReviewItemData $item): string
    {
        return $item->symbol.($item->name === '' ? '' : ", {$item->name}").' '.InR::told($item->followed->outcome->r ?? '0');
    }
}
