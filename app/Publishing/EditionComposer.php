<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\ChecklistLineData;
use App\Enums\CandidateState;
use App\Levels\LevelReader;
use App\Levels\LevelReading;
use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Edition;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Models\Setup;
use App\Planning\Checklists;
use App\Planning\GoodUntil;
use App\Planning\OptionTerms;
use App\Record\RecordCosts;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Setup as CoreSetup;

/**
 * Writes a plan as the document of an edition: the very text that is sealed, shown to subscribers and judged.
 * Described in docs/formats.md.
 *
 * @phpstan-import-type OptionState from OptionTerms
 *
 * @phpstan-type InstrumentPart array{symbol: string, name: string, kind: string, decimals: int, tick: string, currency: string, group: string}
 * @phpstan-type LevelPart array{price: string, low?: string, high?: string, origin: string, grade: string}
 * @phpstan-type CheckPart array{text: string, standing: string, value?: string}
 * @phpstan-type SetupPart array{key: string, name?: string, kind?: string, checklist?: list<CheckPart>, sentence: string, option?: OptionState, rules: array<string, mixed>, risk: string, targets_r: list<string>}
 * @phpstan-type ThesisPart array{for?: string, against?: string, conviction?: int, wrong_if?: string, wrong_at?: string}
 * @phpstan-type CarriedPart array{relation: string, edition: int, seal: string, setups: non-empty-list<array{key: string, name?: string, sentence: string}>}
 * @phpstan-type CandidatePart array{
 *     instrument: InstrumentPart, state: string, reason: string, carried?: CarriedPart, thesis?: ThesisPart, no_trade?: string, would_change?: string, readers: string, theme?: string, last_close: string,
 *     levels: list<LevelPart>, setups?: non-empty-list<SetupPart>
 * }
 * @phpstan-type TextPart array{role: string, title: string, text: string, place: string, readers: string, values: array<string, string>}
 * @phpstan-type Document array{
 *     format: string, number: int, kind: string, author: string, exchange: array{name: string, zone: string},
 *     published_at: string, session: array{date: string, open: string, close: string}, previous_seal: ?string,
 *     through?: string, late?: bool, parts?: list<TextPart>, bias: string, judged_on: string, costs: array{slippage_ticks: int, commission_per_unit: string},
 *     candidates: list<CandidatePart>
 * }
 */
final readonly class EditionComposer
{
    public const FORMAT = 'watchpost-edition-1';
    /** Day bars behind a checklist. */
    private const CHECKED_ON = 300;

    public function __construct(private ExchangeCalendar $calendar, private GoodUntil $goodUntil, private BarRepository $bars, private RecordCosts $costs, private LevelReader $reader, private Checklists $checklists, private ChartBuilder $charts, private EditionReader $editions, private References $references)
    {
    }

    /**
     * @param Edition|null $previous the edition before, to which this one is chained
     * @param list<int>    $leaveOut candidates that are not ready, for a preview
     *
     * @return Document
     *
     * @throws InvalidInput when the rules refuse a setup
     * @throws \LogicException              when a setup lacks its entry or stop
     */
    public function compose(Plan $plan, ?Edition $previous, int $publishedAt, array $leaveOut = []): array
    {
        $session = $this->calendar->session($plan->session_date) ?? throw new \LogicException("There is no session on {$plan->session_date}.");

        return [
            'format' => self::FORMAT,
            'number' => ($previous->number ?? 0) + 1,
            'kind' => $plan->kind->value,
            'author' => $plan->author->name,
            'exchange' => ['name' => $this->calendar->name, 'zone' => $this->calendar->zone->getName()],
            'published_at' => Instant::format($publishedAt),
            'session' => ['date' => $session->date, 'open' => Instant::format($session->open), 'close' => Instant::format($session->close)],
            ...($plan->through_date === null ? [] : ['through' => $plan->through_date]),
            ...($plan->is_late ? ['late' => true] : []),
            'previous_seal' => $previous?->seal,
            'bias' => $plan->bias,
            'judged_on' => TimeFrame::FiveMinutes->value,
            'costs' => ['slippage_ticks' => $this->costs->slippageTicks, 'commission_per_unit' => $this->costs->commissionPerUnit],
            'candidates' => $candidates = $this->candidates($plan, $publishedAt, $leaveOut),
            'parts' => $this->parts($plan, $candidates),
        ];
    }

    /**
     * The author's texts, with what they name of the plan as it is published; what is empty is left out.
     *
     * @param list<CandidatePart> $candidates
     *
     * @return list<TextPart>
     */
    private function parts(Plan $plan, array $candidates): array
    {
        $parts = [];
        foreach ($plan->parts as $part) {
            if (trim($part['text']) === '') {
                continue;
            }
            $values = [];
            foreach (References::in($part['text']) as $name) {
                $says = $this->references->ofPlan($name, $candidates);
                $values += $says === null ? [] : [$name => $says];
            }
            $parts[] = ['role' => $part['role'], 'title' => $part['title'], 'text' => $part['text'], 'place' => $part['place'], 'readers' => $part['readers'], 'values' => $values];
        }

        return $parts;
    }

    /**
     * @param list<int> $leaveOut
     *
     * @return list<CandidatePart>
     */
    private function candidates(Plan $plan, int $publishedAt, array $leaveOut): array
    {
        $parts = [];
        $number = 0;
        foreach ($plan->candidates()->with(['instrument', 'setups.kind', 'carried.edition'])->whereKeyNot($leaveOut)->get() as $candidate) {
            $part = $this->candidate($candidate, $plan);
            $setups = $candidate->state === CandidateState::Kept && ! $candidate->stillStands() ? $this->setups($candidate, $plan, ++$number, $publishedAt) : [];
            if ($setups !== []) {
                $part['setups'] = $setups;
            }
            $parts[] = $part;
        }

        return $parts;
    }

    /** @return CandidatePart */
    private function candidate(Candidate $candidate, Plan $plan): array
    {
        $instrument = $candidate->instrument;
        $grid = $instrument->grid();

        return [
            'instrument' => [
                'symbol' => $instrument->symbol,
                'name' => $instrument->name,
                'kind' => $instrument->kind->value,
                'decimals' => $instrument->decimals,
                'tick' => $grid->format($instrument->tick),
                'currency' => $instrument->currency,
                'group' => $instrument->group,
            ],
            'state' => match (true) {
                $candidate->state === CandidateState::Passed => 'passed',
                $candidate->stillStands() => 'still',
                default => 'planned',
            },
            'reason' => $candidate->reason,
            ...$this->carried($candidate),
            ...$this->thesis($candidate),
            ...($candidate->state === CandidateState::Passed ? ['no_trade' => $candidate->no_trade->value] : []),
            ...($candidate->would_change === null ? [] : ['would_change' => $grid->format($candidate->would_change)]),
            'readers' => $candidate->readers,
            ...($candidate->theme === '' ? [] : ['theme' => $candidate->theme]),
            'last_close' => $grid->format($this->bars->lastClose($instrument) ?? 0),
            'levels' => $this->levels($plan, $instrument),
        ];
    }

    /**
     * What it takes up of an earlier edition, by reference.
     *
     * @return array{carried?: CarriedPart}
     */
    private function carried(Candidate $candidate): array
    {
        $published = $candidate->carried;
        if ($published === null || $candidate->relation === null || $candidate->state === CandidateState::Passed) {
            return [];
        }
        $setups = array_values($published->ofSameIdea()->map(function (PublishedSetup $one): array {
            $sealed = $this->editions->setup($one->edition, $one->key);

            return ['key' => $one->key, ...($sealed->name === '' ? [] : ['name' => $sealed->name]), 'sentence' => $sealed->sentence];
        })->all());

        return $setups === [] ? [] : ['carried' => ['relation' => $candidate->relation->value, 'edition' => $published->edition->number, 'seal' => $published->edition->seal, 'setups' => $setups]];
    }

    /**
     * What the author says of the idea; nothing of what is empty.
     *
     * @return array{thesis?: ThesisPart}
     */
    private function thesis(Candidate $candidate): array
    {
        if ($candidate->state === CandidateState::Passed) {
            return [];
        }
        $thesis = array_filter([
            'for' => $candidate->speaks_for,
            'against' => $candidate->speaks_against,
            'conviction' => $candidate->conviction,
            'wrong_if' => $candidate->wrong_if,
            'wrong_at' => $candidate->wrong_at === null ? null : $candidate->instrument->grid()->format($candidate->wrong_at),
        ], static fn (int|string|null $said): bool => $said !== null && $said !== '');

        return $thesis === [] ? [] : ['thesis' => $thesis];
    }

    /**
     * The levels in use, the highest first: of a zone both edges too, of what moves its price in the next session.
     *
     * @return list<LevelPart>
     */
    private function levels(Plan $plan, Instrument $instrument): array
    {
        $days = $this->bars->days($instrument, LevelReader::DAYS);
        if ($days->count() === 0) {
            return [];
        }
        $input = new LevelInput($days);
        $readings = $this->reader->readAll($plan->levelsOn($instrument->id)->alive()->get(), $input);
        usort($readings, static fn (LevelReading $a, LevelReading $b): int => $b->nearEdge($input->close) <=> $a->nearEdge($input->close));

        return array_map(static fn (LevelReading $reading): array => [
            'price' => $days->grid->format($reading->nearEdge($input->close)),
            ...($reading->low === $reading->high ? [] : ['low' => $days->grid->format($reading->low), 'high' => $days->grid->format($reading->high)]),
            'origin' => $reading->label,
            'grade' => $reading->level->grade->value,
        ], $readings);
    }

    /**
     * The ways in which a candidate is planned, in the author's order: "3", or "3a" and "3b".
     *
     * @return list<SetupPart>
     */
    private function setups(Candidate $candidate, Plan $plan, int $number, int $publishedAt): array
    {
        $several = $candidate->setups->count() > 1;
        $group = $several && $candidate->either_or ? ['group' => (string) $number] : [];

        return array_values($candidate->setups->map(fn (Setup $row): array => $this->setup(
            $candidate,
            $plan,
            $row,
            $number.($several ? chr(ord('a') + $row->position - 1) : ''),
            $group,
            $publishedAt,
        ))->all());
    }

    /**
     * Of what kind a setup is, and how its checklist stands on this evening.
     *
     * @return array{kind?: string, checklist?: list<CheckPart>}
     */
    private function kind(Candidate $candidate, Setup $row, CoreSetup $setup): array
    {
        if ($row->kind === null) {
            return [];
        }
        $days = $this->charts->series($candidate->instrument, self::CHECKED_ON);
        $lines = $this->checklists->of($candidate, $row, $row->kind, $setup, $days, $this->charts->atr($days))->lines;

        return ['kind' => $row->kind->name] + ($lines === [] ? [] : ['checklist' => array_map(static fn (ChecklistLineData $line): array => [
            'text' => $line->text,
            'standing' => $line->standing->value,
        ] + ($line->value === '' ? [] : ['value' => $line->value]), $lines)]);
    }

    /**
     * @param array{group?: string} $group
     *
     * @return SetupPart
     */
    private function setup(Candidate $candidate, Plan $plan, Setup $row, string $key, array $group, int $publishedAt): array
    {
        $draft = $row->draft();
        $grid = $candidate->instrument->grid();
        $entryUntil = $this->goodUntil->of($plan, $candidate->instrument, $draft->goodFor);
        $lastSession = $candidate->instrument->last_session;
        $setup = $draft->toSetup($grid, $publishedAt, $entryUntil, $lastSession);
        $scale = $setup->rScale($this->bars->lastClose($candidate->instrument));

        return [
            'key' => $key,
            ...($row->name === '' ? [] : ['name' => $row->name]),
            ...$this->kind($candidate, $row, $setup),
            'sentence' => (new Sentence($grid, $this->calendar->zone))->of($setup),
            ...($row->option === null ? [] : ['option' => OptionTerms::fromState($row->option)->toState()]),
            'rules' => $draft->toRules($grid, $publishedAt, $entryUntil, $lastSession) + $group,
            'risk' => $grid->format($scale->risk()),
            'targets_r' => array_map(static fn ($target): string => $scale->at($target->price), $setup->targets),
        ];
    }
}
