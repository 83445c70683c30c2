<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\LadderRowData;
use App\Enums\Agreement;
use App\Enums\LadderRowKind;
use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use App\Enums\LevelLayer;
use App\Levels\Check;
use App\Levels\Curve;
use App\Levels\LevelReading;
use Watchpost\Core\Levels\Agreement as Near;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Setups\Draft;

/** The rows of the ladder: the last close, the author's levels, those of the cross-check, and the prices of the plan. */
final readonly class LadderPresenter
{
    /**
     * @param list<LevelReading> $own
     * @param list<Check>        $checks
     *
     * @return list<LadderRowData> highest price first
     */
    public function rows(Draft $draft, array $own, array $checks, LevelInput $input): array
    {
        $rows = [
            $this->row($input, $draft, 'last', LadderRowKind::Last, 'last close', [$input->close, $input->close]),
            ...array_map(fn (LevelReading $reading): array => $this->own($reading, $checks, $draft, $input), $own),
            ...array_map(fn (array $same): array => $this->found($same, $own, $draft, $input), self::same($checks)),
            ...$this->plan($draft, $input),
        ];
        usort($rows, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column($rows, 1);
    }

    /**
     * @param list<Check> $checks
     *
     * @return array{int, LadderRowData}
     */
    private function own(LevelReading $reading, array $checks, Draft $draft, LevelInput $input): array
    {
        $level = $reading->level;
        $agrees = array_filter($checks, static fn (Check $check): bool => self::isEvidence($check) && Near::between([$reading->low, $reading->high], [$check->found->low, $check->found->high], $input->range));

        return $this->row(
            $input,
            $draft,
            $reading->key,
            LadderRowKind::Level,
            $reading->label,
            [$reading->low, $reading->high],
            at: $reading->nearEdge($input->close),
            levelId: $level->id,
            grade: $level->grade,
            layer: LevelLayer::Own,
            form: $level->form,
            reading: $reading,
            agreement: $checks === [] ? null : ($agrees === [] ? Agreement::OnlyMine : Agreement::Agrees),
            curve: $reading->moves ? Curve::of($reading->band->low, $reading->low, $input->series->grid) : [],
            upper: $reading->moves && $reading->high > $reading->low ? Curve::of($reading->band->high, $reading->high, $input->series->grid) : [],
        );
    }

    /**
     * Those that say the same price for different reasons stand in one row: the high of the last three sessions is often
     * that of the week.
     *
     * @param list<Check> $checks
     *
     * @return list<non-empty-list<Check>>
     */
    private static function same(array $checks): array
    {
        $groups = [];
        foreach ($checks as $check) {
            $groups[implode('|', [LevelLayer::of($check->found)->value, $check->found->low, $check->found->high])][] = $check;
        }
        foreach ($groups as &$group) {
            // the weightiest reason leads
            usort($group, static fn (Check $a, Check $b): int => [$a->found->grade->value, $b->found->score] <=> [$b->found->grade->value, $a->found->score]);
        }

        return array_values($groups);
    }

    /**
     * @param non-empty-list<Check> $same
     * @param list<LevelReading>    $own
     *
     * @return array{int, LadderRowData}
     */
    private function found(array $same, array $own, Draft $draft, LevelInput $input): array
    {
        $check = $same[0];
        $found = $check->found;
        $agrees = array_filter($own, static fn (LevelReading $reading): bool => Near::between([$reading->low, $reading->high], [$found->low, $found->high], $input->range));

        return $this->row(
            $input,
            $draft,
            $check->key,
            LadderRowKind::Found,
            implode('; ', array_map(static fn (Check $one): string => $one->found->origin, $same)),
            [$found->low, $found->high],
            at: $found->nearEdge($input->close),
            grade: LevelGrade::from($found->grade->value),
            layer: LevelLayer::of($found),
            check: $check,
            agreement: $agrees === [] ? Agreement::OnlyFound : Agreement::Agrees,
        );
    }

    /** Whether a found level speaks for one of the author's: of pivots and round numbers, some lie near any price. */
    private static function isEvidence(Check $check): bool
    {
        return ! in_array($check->found->kind, [LevelKind::Pivot, LevelKind::Round, LevelKind::ExpectedRange, LevelKind::Confluence], true);
    }

    /** @return list<array{int, LadderRowData}> */
    private function plan(Draft $draft, LevelInput $input): array
    {
        $rows = [];
        $add = function (string $key, LadderRowKind $kind, string $label, int $price, ?int $target = null, ?int $rOf = null) use (&$rows, $draft, $input): void {
            $rows[] = $this->row($input, $draft, $key, $kind, $label, [$price, $price], target: $target, rOf: $rOf);
        };
        foreach ($draft->legs as $i => $leg) {
            if ($leg->price !== null && $leg->kind->hasPrice()) {
                // the R of the first is 0 by definition, counted from the price with its tolerance
                $what = str_replace('_', ' ', $leg->kind->value).($i === 0 ? '' : ", “{$leg->name}”");
                $add($i === 0 ? 'entry' : "leg-{$i}", LadderRowKind::Entry, "{$draft->side->value} entry, {$what}", $leg->price, $i === 0 ? null : $i, $leg->plannedPrice($draft->side));
            }
        }
        if ($draft->stop !== null) {
            $add('stop', LadderRowKind::Stop, 'stop', $draft->stop);
        }
        if ($draft->cancel !== null) {
            $add('cancel', LadderRowKind::Cancel, 'cancel the wait', $draft->cancel);
        }
        foreach ($draft->targets as $i => $target) {
            $add("target-{$i}", LadderRowKind::Target, 'target '.($i + 1), $target->price, $i);
        }

        return $rows;
    }

    /**
     * @param array{int, int}  $edges
     * @param int|null         $at    the price that is told, if not the edges' own
     * @param list<float|null> $curve
     * @param list<float|null> $upper
     *
     * @return array{int, LadderRowData} the price to sort by, and the row
     */
    private function row(
        LevelInput $input,
        Draft $draft,
        string $key,
        LadderRowKind $kind,
        string $label,
        array $edges,
        ?int $at = null,
        ?int $target = null,
        ?int $rOf = null,
        ?int $levelId = null,
        ?LevelGrade $grade = null,
        ?LevelLayer $layer = null,
        ?LevelForm $form = null,
        ?LevelReading $reading = null,
        ?Check $check = null,
        ?Agreement $agreement = null,
        array $curve = [],
        array $upper = [],
    ): array {
        $grid = $input->series->grid;
        $price = $at ?? $edges[0];
        $distance = Distance::from($price, $input->close, $input->atr[$input->last]);
        $touches = $reading->touches ?? $check->found->touches ?? [];

        return [$price, new LadderRowData(
            $key,
            $kind,
            $label,
            $grid->format($price),
            $grid->toFloat($price),
            $grid->toFloat($edges[0]),
            $grid->toFloat($edges[1]),
            $edges[0] === $edges[1] ? '' : "{$grid->format($edges[0])}–{$grid->format($edges[1])}",
            $distance->percent,
            $distance->atr,
            $draft->rScale()?->at($rOf ?? $price),
            $levelId,
            $grade,
            $target,
            $layer,
            $form,
            $reading !== null ? $reading->level->time_frame : $check?->timeFrame,
            $reading?->standing,
            $agreement,
            count($touches),
            $kind !== LadderRowKind::Last && $kind !== LadderRowKind::Found && $form !== LevelForm::Average && $form !== LevelForm::Swing,
            $curve,
            $upper,
        )];
    }
}
