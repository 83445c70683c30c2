<?php

declare(strict_types=1);

namespace App\Record;

use App\Data\FollowedData;
use App\Data\RecordRowData;
use App\Data\RecordTotalsData;
use App\Models\PublishedSetup;
use App\Planning\PlanDates;
use App\Publishing\EditionReader;
use App\Subscribers\Reader;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Watchpost\Core\Outcomes\OutcomeStatus;

/** The record: every published setup with what happened to it. */
final readonly class RecordPresenter
{
    public function __construct(private EditionReader $editions, private OutcomePresenter $outcomes, private PlanDates $dates, private RecordCosts $costs)
    {
    }

    /**
     * What a reader may read of the record: what is withheld joins it when it is over.
     *
     * @param string|null $kind      of one kind only; empty for those without one
     * @param bool        $firstOnly of variants only the first, in the order in which they were sealed
     *
     * @return list<RecordRowData> the newest edition first
     */
    public function rows(Reader $reader, ?string $kind = null, bool $firstOnly = false): array
    {
        $rows = [];
        $published = PublishedSetup::query()->with(['edition', 'instrument', 'outcome', 'managed', 'updates'])->orderByDesc('edition_id')->orderBy('id')
            ->when($kind !== null, static fn (Builder $query) => $query->where('kind', $kind))
            ->get();
        foreach ($published as $setup) {
            if (! $reader->mayRead($setup) || ($firstOnly && ! $setup->isFirstVariant())) {
                continue;
            }
            $sealed = $this->editions->setup($setup->edition, $setup->key);
            $followed = $this->outcomes->followed($setup, $sealed);
            if ($followed === null) {
                continue;
            }
            $rows[] = new RecordRowData(
                $setup->edition->number,
                $setup->key,
                $this->dates->words($setup->edition->session_date, $this->editions->document($setup->edition)['through'] ?? null),
                $setup->instrument->symbol,
                $sealed->name,
                $setup->isFirstVariant(),
                $setup->kind,
                $setup->instrument->name,
                $sealed->sentence,
                $followed,
            );
        }

        return $rows;
    }

    /** @return list<string> the kinds of which something is published, by name */
    public function kinds(): array
    {
        /** @var list<string> */
        return PublishedSetup::query()->where('kind', '!=', '')->distinct()->orderBy('kind')->pluck('kind')->all();
    }

    public function withheld(Reader $reader): int
    {
        return PublishedSetup::query()->with(['outcome', 'edition'])->get()->reject(static fn (PublishedSetup $setup): bool => $reader->mayRead($setup))->count();
    }

    /** @param list<RecordRowData> $rows */
    public function totals(array $rows): RecordTotalsData
    {
        $count = static fn (OutcomeStatus $status): int => count(array_filter($rows, static fn (RecordRowData $row): bool => $row->followed->outcome->status === $status));
        $sum = static fn (callable $of): string => InR::sum(array_map(static fn (RecordRowData $row): ?string => $of($row->followed), $rows));

        return new RecordTotalsData(
            count($rows),
            $count(OutcomeStatus::Closed),
            $count(OutcomeStatus::Open),
            $count(OutcomeStatus::Waiting),
            $count(OutcomeStatus::NotTriggered),
            $count(OutcomeStatus::Cancelled),
            $count(OutcomeStatus::Void),
            count(array_filter($rows, static fn (RecordRowData $row): bool => $row->followed->outcome->ambiguous)),
            $sum(static fn (FollowedData $followed): ?string => $followed->outcome->rRealised),
            $sum(static fn (FollowedData $followed): ?string => $followed->outcome->rOpen),
            $this->costs->label(),
            count(array_filter($rows, static fn (RecordRowData $row): bool => $row->followed->managed !== null)),
            $sum(static fn (FollowedData $followed): ?string => ($followed->managed ?? $followed->outcome)->rRealised),
            $sum(static fn (FollowedData $followed): ?string => ($followed->managed ?? $followed->outcome)->rOpen),
        );
    }
}
