<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\TimeLabel;
use App\Data\ChecklistData;
use App\Data\CloseRuleData;
use App\Data\LegData;
use App\Data\OpenExitData;
use App\Data\OptionData;
use App\Data\RScaleData;
use App\Data\SetupData;
use App\Data\StripData;
use App\Data\TargetData;
use App\Data\VariantData;
use App\Levels\LevelReading;
use App\Models\Candidate;
use App\Models\Plan;
use App\Models\Setup as SetupRow;
use App\Reading\ExchangeRates;
use App\Reading\Limits;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\RStrip;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\TriggerKind;
use Watchpost\Core\Setups\Words;

/** Shows the setup of a candidate while it is planned. */
final readonly class SetupPresenter
{
    public function __construct(
        private ExchangeCalendar $calendar,
        private GoodUntil $goodUntil,
        private TimeLabel $times,
        private SetupReading $reading,
        private StopOffers $offers,
        private Checklists $checklists,
        private OptionPresenter $options,
        private Exposure $exposure,
        private ExchangeRates $rates,
    ) {
    }

    /**
     * @param list<LevelReading> $levels the author's own
     * @param float|null         $atr    average true range, in units
     */
    public function present(Variant $variant, Draft $draft, Series $series, array $levels, ?float $atr): SetupData
    {
        $candidate = $variant->candidate;
        $plan = $candidate->plan;
        $grid = $series->grid;
        $close = $series->lastClose();
        $scale = $draft->rScale($close);
        $setup = $this->complete($candidate, $plan, $draft);
        $limits = Limits::of($plan->author);
        $format = static fn (?int $price): ?string => $price === null ? null : $grid->format($price);
        $words = new Words($draft->side, $grid, $this->calendar->zone);

        return new SetupData(
            $variant->setup() !== null,
            $draft->side,
            array_map(static fn ($leg): LegData => LegData::of($leg, $grid), $draft->legs),
            $this->offered($draft, $close),
            $format($draft->stop),
            CloseRuleData::of($draft->stopCloses),
            $format($draft->cancel),
            $draft->cancelSide,
            CloseRuleData::of($draft->cancelCloses),
            array_map(static fn ($target): TargetData => new TargetData($grid->format($target->price), $target->share, $scale?->at($target->price)), $draft->targets),
            array_map(fn (array $rules, $condition) => SetupParts::conditionData($rules, $condition, $words, $this->calendar->zone), $draft->conditions, $draft->readConditions($grid)),
            array_map(static fn (array $rules, $move) => SetupParts::stopMoveData($rules, $move, $words), $draft->stopMoves, $draft->readStopMoves($grid)),
            $draft->timeStop,
            $draft->openExit === null ? null : new OpenExitData($draft->openExit['session'], $draft->openExit['gap_min_percent'] ?? null),
            $draft->goodFor,
            $this->times->shortDay($this->goodUntil->of($plan, $candidate->instrument, $draft->goodFor)),
            $draft->missing(),
            $setup === null ? [] : [...$this->reading->warnings($candidate, $setup, $draft->goodFor, $series, $atr, $limits), ...$this->exposure->warnings($plan, $limits, $candidate)],
            $setup === null ? [] : $this->reading->figures($candidate, $setup, $draft->goodFor, $series, $atr, $limits),
            $this->offers->of($draft, $series, $levels, $atr),
            $variant->setup()?->setup_kind_id,
            $this->checklist($variant, $setup, $series, $atr),
            $this->option($variant, $setup, $series, $limits),
            $this->sentence($setup, $grid),
            $scale === null ? null : $grid->format($scale->risk()),
            $scale === null ? null : (string) BigRational::nd($scale->risk() * 100, $scale->entry)->toScale(2, RoundingMode::HALF_UP),
            $scale === null ? null : new RScaleData($grid->toFloat($scale->entry), $grid->toFloat($scale->stop)),
            $this->strip($draft, $close),
        );
    }

    /** The setup as it would be sealed; null while something is missing or does not fit. */
    public function complete(Candidate $candidate, Plan $plan, Draft $draft): ?Setup
    {
        if (! $draft->isComplete()) {
            return null;
        }
        $until = $this->goodUntil->of($plan, $candidate->instrument, $draft->goodFor);
        try {
            // when it will be published is not known yet, and nothing shown depends on it
            return $draft->toSetup($candidate->instrument->grid(), $until - 1, $until, $candidate->instrument->last_session);
        } catch (InvalidInput) {
            return null; // the check before publication says what is wrong
        }
    }

    private function option(Variant $variant, ?Setup $setup, Series $series, Limits $limits): ?OptionData
    {
        $option = $variant->setup()?->option;
        $instrument = $variant->candidate->instrument;
        $until = $this->calendar->dateOf($this->goodUntil->of($variant->candidate->plan, $instrument, $variant->draft()->goodFor));

        return $option === null ? null : $this->options->present(OptionTerms::fromState($option), $setup, $series->grid, $instrument->currency, $series->lastClose(), $until, $this->rates->mayLoseIn($instrument->currency, $limits->account()));
    }

    private function checklist(Variant $variant, ?Setup $setup, Series $series, ?float $atr): ?ChecklistData
    {
        $row = $variant->setup();
        $kind = $row?->kind;

        return $row === null || $kind === null ? null : $this->checklists->of($variant->candidate, $row, $kind, $setup, $series, $atr);
    }

    /** One of the ways in which a candidate is planned, in short. */
    public function variant(Candidate $candidate, Plan $plan, SetupRow $row, PriceGrid $grid, ?int $close): VariantData
    {
        $draft = $row->draft();
        $setup = $this->complete($candidate, $plan, $draft);

        return new VariantData(
            $row->position,
            $row->name,
            $draft->side,
            $setup === null ? null : (new Sentence($grid, $this->calendar->zone))->short($setup),
            $this->sentence($setup, $grid),
            $this->strip($draft, $close),
        );
    }

    private function sentence(?Setup $setup, PriceGrid $grid): ?string
    {
        return $setup === null ? null : (new Sentence($grid, $this->calendar->zone))->of($setup);
    }

    private function strip(Draft $draft, ?int $close): ?StripData
    {
        $scale = $draft->rScale($close);

        return $scale === null ? null : StripData::of(RStrip::planned($draft->side, $scale, $draft->targetPrices(), $close));
    }

    /** @return list<TriggerKind> those that fit where price stands first, then the others */
    private function offered(Draft $draft, ?int $close): array
    {
        $price = $draft->entry()->price;
        $first = $price === null || $close === null ? [] : TriggerKind::offered(($close - $price) * $draft->side->sign() > 0);

        return [...$first, ...array_values(array_filter(TriggerKind::cases(), static fn (TriggerKind $kind): bool => ! in_array($kind, $first, true)))];
    }
}
