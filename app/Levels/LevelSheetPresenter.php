<?php

declare(strict_types=1);

namespace App\Levels;

use App\Clock\TimeLabel;
use App\Data\FoundLevelData;
use App\Data\LevelChangeData;
use App\Data\LevelSheetData;
use App\Data\PointData;
use App\Data\TouchData;
use App\Enums\LevelForm;
use App\Enums\LevelStanding;
use App\Models\Level;
use App\Models\LevelChange;
use Watchpost\Core\Levels\Anchor;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\Reaction;
use Watchpost\Core\Levels\ReactionKind;
use Watchpost\Core\Levels\SlopeShape;
use Watchpost\Core\Levels\Touch;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;

/** Shows all that is known of one level: that of an author, or one of the cross-check. */
final readonly class LevelSheetPresenter
{
    private const AHEAD = [1, 2, 5, 10];

    public function __construct(private LevelReader $reader, private TimeLabel $times)
    {
    }

    public function own(Level $level, Series $series): LevelSheetData
    {
        $grid = $series->grid;
        $terms = $level->terms();
        $input = new LevelInput($series);
        $reading = $this->reader->read($level, $input)[0] ?? null;
        $reaction = $reading->reaction ?? Reaction::untouched();
        $point = static fn (?Anchor $anchor): ?PointData => $anchor === null ? null : new PointData($anchor->session, $grid->format($anchor->price));

        return new LevelSheetData(
            $level->id,
            $level->form,
            LevelWords::of($level, $grid),
            $grid->format($level->price),
            $level->low === null ? null : $grid->format($level->low),
            $level->high === null ? null : $grid->format($level->high),
            $point($terms->from),
            $point($terms->to),
            $point($terms->parallel),
            $terms->logarithmic,
            $terms->average,
            $terms->period === 0 ? null : $terms->period,
            $terms->since,
            $level->origin,
            $terms->mark,
            $terms->session,
            $level->grade,
            $level->time_frame,
            $level->note,
            $level->marked_on === '' ? '' : $this->times->shortDate($level->marked_on),
            $reading->standing ?? ($level->isRetired() ? LevelStanding::Retired : LevelStanding::Active),
            $level->retired_because,
            $reaction->kind,
            $this->words($reaction, $grid),
            $this->touches($reading->touches ?? [], $grid, $level->marked_on),
            array_values(LevelChange::query()->where('level_id', $level->id)->orderByDesc('id')->get()->map(fn (LevelChange $change): LevelChangeData => new LevelChangeData($this->times->short($change->at), $change->by, $change->what))->all()),
            $level->form === LevelForm::Line ? $this->ahead($terms, $input) : [],
        );
    }

    /**
     * @param list<Check> $checks
     *
     * @return list<FoundLevelData>
     */
    public function found(array $checks, Series $series): array
    {
        $grid = $series->grid;
        $input = new LevelInput($series);

        return array_map(fn (Check $check): FoundLevelData => new FoundLevelData(
            $check->key,
            $check->found->kind,
            $check->found->origin,
            number_format($check->found->score, 2),
            $this->touches($check->found->touches, $grid, ''),
            array_values(array_filter((array) ($check->found->details['members'] ?? []), is_string(...))),
            $this->curve($check, $input),
        ), $checks);
    }

    /** @return list<float|null> */
    private function curve(Check $check, LevelInput $input): array
    {
        $terms = NewLevel::from($check, $input->series->grid)->terms;
        if ($terms->from === null || $terms->to === null) {
            return [];
        }
        $shape = new SlopeShape($terms->from, $terms->to, $terms->logarithmic);

        return Curve::of($shape->band($input)->low, $shape->next($input)[0] ?? null, $input->series->grid);
    }

    /** How a level did, in a line. */
    public function words(Reaction $reaction, PriceGrid $grid): string
    {
        $first = $reaction->touchedOn === null ? '' : "first touched on {$this->times->shortDate($reaction->touchedOn)}";
        $turn = $reaction->turn === null || $reaction->turnInAtr === null ? '' : match (true) {
            $reaction->turn === 0 => 'turned at the level',
            $reaction->turn > 0 => "turned {$grid->format($reaction->turn)} ({$this->atr($reaction->turnInAtr)} ATR) before it",
            default => "went {$grid->format(-$reaction->turn)} ({$this->atr(-$reaction->turnInAtr)} ATR) beyond it",
        };

        return match ($reaction->kind) {
            ReactionKind::Untouched => 'not touched since it was marked',
            ReactionKind::Undecided => "{$first}, not decided yet",
            ReactionKind::Held => "{$first}, held: {$turn}",
            ReactionKind::Broke => "{$first}, broke".($reaction->decidedOn === null ? '' : " on {$this->times->shortDate($reaction->decidedOn)}").": {$turn}",
        };
    }

    private function atr(float $value): string
    {
        return number_format($value, 2);
    }

    /**
     * @param list<Touch> $touches in order of time
     *
     * @return list<TouchData> the latest first
     */
    private function touches(array $touches, PriceGrid $grid, string $markedOn): array
    {
        return array_map(
            fn (Touch $touch): TouchData => new TouchData($touch->session, $this->times->plainDate($touch->session), $grid->format($touch->price), $grid->toFloat($touch->price), $touch->kind, $touch->session <= $markedOn),
            array_reverse($touches),
        );
    }

    /** @return list<string> */
    private function ahead(LevelTerms $terms, LevelInput $input): array
    {
        if ($terms->from === null || $terms->to === null) {
            return [];
        }
        $shape = new SlopeShape($terms->from, $terms->to, $terms->logarithmic, $terms->parallel);
        $told = [];
        foreach (self::AHEAD as $bars) {
            $edges = $shape->ahead($input, $bars);
            if ($edges !== null) {
                $price = $input->series->grid->format($edges[0]).($edges[0] === $edges[1] ? '' : ' to '.$input->series->grid->format($edges[1]));
                $told[] = ($bars === 1 ? 'next session' : "in {$bars} sessions")." {$price}";
            }
        }

        return $told;
    }
}
