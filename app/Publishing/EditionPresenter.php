<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Clock\TimeLabel;
use App\Data\CarriedData;
use App\Data\CarriedSetupData;
use App\Data\ChartData;
use App\Data\ChecklistLineData;
use App\Data\EditionData;
use App\Data\EditionLevelData;
use App\Data\EditionLinkData;
use App\Data\EditionPartData;
use App\Data\EditionSetupData;
use App\Data\RScaleData;
use App\Data\StripData;
use App\Data\TargetData;
use App\Data\ThesisData;
use App\Enums\LevelGrade;
use App\Enums\NoTrade;
use App\Enums\PlanKind;
use App\Enums\Relation;
use App\Enums\Sees;
use App\Market\ChartBuilder;
use App\Market\ChartSettings;
use App\Models\Edition;
use App\Models\Instrument;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Planning\OptionPresenter;
use App\Planning\OptionTerms;
use App\Planning\PlanDates;
use App\Reading\Account;
use App\Reading\SizeReading;
use App\Record\OutcomePresenter;
use App\Record\RecordCosts;
use App\Subscribers\Reader;
use App\Subscribers\Tiers;
use Illuminate\Support\Collection;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Setups\Checklist\Standing;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\PlanFigures;
use Watchpost\Core\Setups\RStrip;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\Target;

/**
 * Shows an edition as a reader sees it. Everything comes from the sealed document; what they may not
 * read is left out here, on the server.
 *
 * @phpstan-import-type Document from EditionComposer
 * @phpstan-import-type CandidatePart from EditionComposer
 * @phpstan-import-type CarriedPart from EditionComposer
 * @phpstan-import-type SetupPart from EditionComposer
 */
final readonly class EditionPresenter
{
    private const CHART_SESSIONS = 90;

    public function __construct(
        private EditionReader $editions,
        private ChartBuilder $charts,
        private OutcomePresenter $outcomes,
        private TimeLabel $times,
        private SplitNote $splitNote,
        private OptionPresenter $options,
        private SizeReading $sizes,
        private Tiers $tiers,
        private EditionTexts $texts,
        private PlanDates $dates,
    ) {
    }

    /**
     * @param Account|null $account    of the reader, that sizes are told for
     * @param bool         $withCharts without, for what is only read as text
     */
    public function edition(Edition $edition, Reader $reader, ?Account $account = null, bool $withCharts = true): EditionData
    {
        $published = $edition->publishedSetups()->with(['instrument', 'outcome', 'managed', 'updates', 'edition'])->get()->keyBy('key');

        return $this->show($this->editions->document($edition), $reader, $edition->seal, $published, $account, $withCharts);
    }

    /** Whether nothing of an edition is withheld from a reader. */
    public function readsAll(Edition $edition, Reader $reader): bool
    {
        foreach ($this->editions->document($edition)['candidates'] as $candidate) {
            if (! $reader->readsAll($candidate['readers'], $edition->published_at)) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, ChartData> by symbol, of what a reader sees a chart of */
    public function charts(Edition $edition, Reader $reader): array
    {
        $document = $this->editions->document($edition);
        $charts = [];
        foreach ($document['candidates'] as $candidate) {
            $chart = $reader->sees($candidate['readers'], $edition->published_at)->atLeast(Sees::Levels)
                ? $this->chart($candidate, Instrument::query()->where('symbol', $candidate['instrument']['symbol'])->first(), $edition->published_at)
                : null;
            $charts += $chart === null ? [] : [$candidate['instrument']['symbol'] => $chart];
        }

        return $charts;
    }

    /** What an edition says of one setup alone, with its chart up to now. */
    public function ofOne(PublishedSetup $one, Reader $reader): EditionPartData
    {
        $document = $this->editions->document($one->edition);
        foreach ($document['candidates'] as $candidate) {
            $setups = array_values(array_filter($candidate['setups'] ?? [], static fn (array $setup): bool => $setup['key'] === $one->key));
            if ($setups !== [] && $reader->readsAll($candidate['readers'], $one->edition->published_at)) {
                return $this->part($document, $candidate, [$this->setup($document, $candidate, $setups[0], $one, $one->instrument, null)], $this->chart($candidate, $one->instrument, $one->edition->published_at), $one->instrument, Sees::Full);
            }
        }
        throw new \OutOfBoundsException("Edition {$one->edition->number} has no setup {$one->key} that may be read.");
    }

    /** @param Document $document not sealed yet */
    public function preview(array $document, Reader $reader): EditionData
    {
        return $this->show($document, $reader, null, new Collection(), null);
    }

    public function link(Edition $edition, Reader $reader): EditionLinkData
    {
        $readable = array_filter($this->editions->document($edition)['candidates'], static fn (array $part): bool => $part['state'] !== 'passed' && $reader->sees($part['readers'], $edition->published_at) !== Sees::Nothing);
        $outcomes = Outcome::query()->where('is_managed', false)->whereIn('published_setup_id', $edition->publishedSetups->modelKeys())->get();
        $standing = [];
        foreach (OutcomeStatus::cases() as $status) {
            $count = $outcomes->where('status', $status)->count();
            if ($count > 0) {
                $standing[] = $count.' '.str_replace('_', ' ', $status->value);
            }
        }

        return new EditionLinkData(
            $edition->number,
            $edition->kind->label(),
            $this->dates->words($edition->session_date, $this->editions->document($edition)['through'] ?? null),
            $this->times->full($edition->published_at),
            array_values(array_map(static fn (array $part): string => $part['instrument']['symbol'], $readable)),
            count($edition->publishedSetups),
            implode(', ', $standing),
        );
    }

    /**
     * @param Document                           $document
     * @param Collection<string, PublishedSetup> $published by key
     */
    private function show(array $document, Reader $reader, ?string $seal, Collection $published, ?Account $account, bool $withCharts = true): EditionData
    {
        $publishedAt = (int) strtotime($document['published_at']);
        $sees = static fn (array $candidate): Sees => $reader->sees($candidate['readers'], $publishedAt);
        $readable = array_filter($document['candidates'], static fn (array $candidate): bool => $sees($candidate) !== Sees::Nothing);
        $instruments = Instrument::query()->whereIn('symbol', array_map(static fn (array $candidate): string => $candidate['instrument']['symbol'], $readable))->get()->keyBy('symbol');
        $parts = [];
        foreach ($readable as $candidate) {
            $instrument = $instruments->get($candidate['instrument']['symbol']);
            $chart = $withCharts && $sees($candidate)->atLeast(Sees::Levels) ? $this->chart($candidate, $instrument, $publishedAt) : null;
            $setups = $sees($candidate) !== Sees::Full ? [] : array_map(fn (array $setup): EditionSetupData => $this->setup($document, $candidate, $setup, $published->get($setup['key']), $instrument, $account), $candidate['setups'] ?? []);
            $parts[] = $this->part($document, $candidate, $setups, $chart, $instrument, $sees($candidate));
        }

        return new EditionData(
            $document['number'],
            $seal === null,
            $document['author'],
            $document['exchange']['name'],
            $this->times->full($publishedAt),
            PlanKind::from($document['kind'])->label(),
            $document['late'] ?? false,
            $this->dates->words($document['session']['date'], $document['through'] ?? null),
            $this->times->opening($document['session']['date']),
            $document['bias'],
            $seal,
            $document['previous_seal'],
            $parts,
            count($document['candidates']) - count($parts),
            $this->withheld(array_diff_key($document['candidates'], $readable)),
            $this->texts->of($document, $reader, $seal === null ? '/plan/images/' : "/editions/{$document['number']}/images/"),
            array_filter($readable, static fn (array $candidate): bool => $sees($candidate) !== Sees::Full) === [] && count($parts) === count($document['candidates']),
            (new RecordCosts($document['costs']['slippage_ticks'], $document['costs']['commission_per_unit']))->label(),
        );
    }

    /** @param CandidatePart $candidate */
    private function chart(array $candidate, ?Instrument $instrument, int $publishedAt): ?ChartData
    {
        return $candidate['state'] !== 'planned' || $instrument === null
            ? null
            : $this->charts->chart($instrument, self::CHART_SESSIONS, ChartSettings::usual(), publishedAt: $publishedAt);
    }

    /**
     * @param Document               $document
     * @param CandidatePart          $candidate
     * @param list<EditionSetupData> $setups
     */
    private function part(array $document, array $candidate, array $setups, ?ChartData $chart, ?Instrument $instrument, Sees $sees): EditionPartData
    {
        $publishedAt = (int) strtotime($document['published_at']);
        $grid = PriceGrid::withTick($candidate['instrument']['decimals'], $candidate['instrument']['tick']);
        $first = $candidate['setups'][0] ?? null;
        $sealed = $first === null ? null : $this->editions->read($document, $candidate, $first)->setup;
        $isFull = $sees === Sees::Full;

        return new EditionPartData(
            $candidate['instrument']['symbol'],
            $candidate['instrument']['name'],
            InstrumentKind::from($candidate['instrument']['kind'])->label(),
            $candidate['theme'] ?? '',
            $candidate['instrument']['currency'],
            $candidate['state'] === 'passed',
            $isFull ? null : $this->tiers->inFull($candidate['readers'])->name,
            $isFull ? [] : $this->sides($document, $candidate),
            $candidate['state'] === 'passed' && $isFull ? NoTrade::from($candidate['no_trade'] ?? NoTrade::Pass->value)->sentence($candidate['reason'], $candidate['would_change'] ?? null) : '',
            $candidate['last_close'],
            array_map(static fn (array $level): EditionLevelData => new EditionLevelData(
                $level['price'],
                (float) $level['price'],
                isset($level['low'], $level['high']) ? "{$level['low']}–{$level['high']}" : '',
                (float) ($level['low'] ?? $level['price']),
                (float) ($level['high'] ?? $level['price']),
                $level['origin'],
                LevelGrade::from($level['grade']),
            ), $sees->atLeast(Sees::Levels) ? $candidate['levels'] : []),
            $isFull ? self::thesis($candidate) : null,
            $setups,
            isset($first['rules']['group']),
            $isFull && isset($candidate['carried']) ? $this->carried($candidate['carried']) : null,
            $chart,
            $instrument === null ? 1.0 : $this->splitNote->ratio($instrument, $publishedAt)->toFloat(),
            $instrument === null || ! $sees->atLeast(Sees::Levels) ? null : $this->splitNote->of($instrument, $publishedAt, $grid, $isFull ? $sealed : null),
        );
    }

    /**
     * On which side a candidate is planned, once each; of what is told by reference, none.
     *
     * @param Document      $document
     * @param CandidatePart $candidate
     *
     * @return list<Side>
     */
    private function sides(array $document, array $candidate): array
    {
        $sides = array_map(fn (array $setup): Side => $this->editions->read($document, $candidate, $setup)->setup->side, $candidate['setups'] ?? []);

        return array_values(array_unique($sides, SORT_REGULAR));
    }

    /**
     * How much more there is, and for whom; it names nothing of it.
     *
     * @param array<int, CandidatePart> $candidates
     */
    private function withheld(array $candidates): string
    {
        $by = array_count_values(array_map(fn (array $candidate): string => $this->tiers->inFull($candidate['readers'])->name, $candidates));

        return $by === [] ? '' : implode(', ', array_map(static fn (string $tier, int $count): string => "{$count} more for {$tier} readers", array_keys($by), array_values($by))).'.';
    }

    /**
     * What is told by reference, with what has become of it.
     *
     * @param CarriedPart $carried
     */
    private function carried(array $carried): CarriedData
    {
        $edition = Edition::query()->where('number', $carried['edition'])->first();
        $outcomes = [];
        foreach ($edition?->publishedSetups()->with(['instrument', 'outcome', 'managed', 'updates', 'edition'])->whereIn('key', array_column($carried['setups'], 'key'))->get() ?? [] as $published) {
            $outcomes[$published->key] = $this->outcomes->followed($published, $this->editions->setup($published->edition, $published->key));
        }

        return new CarriedData(Relation::from($carried['relation']), $carried['edition'], array_map(static fn (array $setup): CarriedSetupData => new CarriedSetupData(
            $setup['key'],
            $setup['name'] ?? '',
            $setup['sentence'],
            $outcomes[$setup['key']] ?? null,
        ), $carried['setups']));
    }

    /** @param CandidatePart $candidate */
    private static function thesis(array $candidate): ?ThesisData
    {
        $said = $candidate['thesis'] ?? null;

        return $said === null ? null : new ThesisData($said['for'] ?? '', $said['against'] ?? '', $said['conviction'] ?? null, $said['wrong_if'] ?? '', $said['wrong_at'] ?? null);
    }

    /**
     * @param Document      $document
     * @param CandidatePart $candidate
     * @param SetupPart     $part
     */
    private function setup(array $document, array $candidate, array $part, ?PublishedSetup $published, ?Instrument $instrument, ?Account $account): EditionSetupData
    {
        $sealed = $this->editions->read($document, $candidate, $part);
        $setup = $sealed->setup;
        $grid = $sealed->grid;
        $close = $grid->units($candidate['last_close']);
        $scale = $setup->rScale($close);

        return new EditionSetupData(
            $part['key'],
            $sealed->name,
            $part['kind'] ?? '',
            array_map(static fn (array $line): ChecklistLineData => new ChecklistLineData($line['text'], Standing::from($line['standing']), $line['value'] ?? '', isset($line['value'])), $part['checklist'] ?? []),
            $setup->side,
            str_replace('_', ' ', implode(', then ', array_map(static fn (Leg $leg): string => $leg->trigger::kind(), $setup->legs))),
            $sealed->sentence,
            (new Sentence($grid, new \DateTimeZone($document['exchange']['zone'])))->lines($setup),
            array_map($grid->format(...), array_values($setup->entryPrices())),
            $grid->format($setup->stop),
            $setup->cancel === null ? null : $grid->format($setup->cancel->price),
            array_map(static fn (Target $target): TargetData => new TargetData($grid->format($target->price), (string) $target->share, $scale->at($target->price)), $setup->targets),
            $part['risk'],
            $this->times->full($setup->entryUntil),
            isset($part['option']) ? $this->options->present(OptionTerms::fromState($part['option']), $setup, $grid, $candidate['instrument']['currency'], $close, '', null) : null,
            $account === null || $instrument === null || $close === null ? [] : $this->sizes->figures($instrument, new PlanFigures($setup, $close), $account),
            new RScaleData($grid->toFloat($scale->entry), $grid->toFloat($scale->stop)),
            StripData::of(RStrip::planned($setup->side, $scale, array_map(static fn (Target $target): int => $target->price, $setup->targets), $close)),
            $published === null ? null : $this->outcomes->followed($published, $sealed),
        );
    }
}
