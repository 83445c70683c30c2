<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\CancelSide;
use Watchpost\Core\Setups\CloseRule;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\Side;

/**
 * A setup while it is planned.
 *
 * @phpstan-import-type DraftLegState from DraftLeg
 *
 * @property int                                             $id
 * @property int                                             $candidate_id
 * @property int                                             $position      among the variants of its candidate, from 1
 * @property string                                          $name          of the variant; empty for the only one
 * @property Side                                            $side
 * @property non-empty-list<DraftLegState>                   $legs
 * @property int|null                                        $stop
 * @property array{timeframe: string, times: int}|null       $stop_closes
 * @property int|null                                        $cancel
 * @property CancelSide                                      $cancel_side
 * @property array{timeframe: string, times: int}|null       $cancel_closes
 * @property list<array{price: int, share: string}>          $targets
 * @property list<array<string, mixed>>                      $conditions
 * @property list<array<string, array<string, mixed>>>       $stop_moves
 * @property int|null                                        $time_stop
 * @property array{session: int, gap_min_percent?: string}|null $open_exit
 * @property int                                             $good_for
 * @property Candidate                                       $candidate
 */
class Setup extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'side' => Side::class,
            'legs' => 'array',
            'stop_closes' => 'array',
            'cancel_side' => CancelSide::class,
            'cancel_closes' => 'array',
            'targets' => 'array',
            'conditions' => 'array',
            'stop_moves' => 'array',
            'open_exit' => 'array',
        ];
    }

    /** @return BelongsTo<Candidate, $this> */
    public function candidate(): BelongsTo
    {
        return $this->belongsTo(Candidate::class);
    }

    public function draft(): Draft
    {
        return new Draft(
            $this->side,
            array_map(DraftLeg::fromState(...), $this->legs),
            $this->stop,
            array_map(static fn (array $target): DraftTarget => new DraftTarget($target['price'], $target['share']), $this->targets),
            $this->good_for,
            $this->cancel,
            self::closes($this->stop_closes),
            $this->cancel_side,
            self::closes($this->cancel_closes),
            $this->conditions,
            $this->stop_moves,
            $this->time_stop,
            $this->open_exit,
        );
    }

    /** @return array<string, mixed> the columns of a draft */
    public static function columns(Draft $draft): array
    {
        $closes = static fn (?CloseRule $rule): ?array => $rule === null ? null : ['timeframe' => $rule->timeFrame->value, 'times' => $rule->times];

        return [
            'side' => $draft->side,
            'legs' => array_map(static fn (DraftLeg $leg): array => $leg->toState(), $draft->legs),
            'stop' => $draft->stop,
            'stop_closes' => $closes($draft->stopCloses),
            'cancel' => $draft->cancel,
            'cancel_side' => $draft->cancelSide,
            'cancel_closes' => $closes($draft->cancelCloses),
            'targets' => array_map(static fn (DraftTarget $target): array => ['price' => $target->price, 'share' => $target->share], $draft->targets),
            'conditions' => $draft->conditions,
            'stop_moves' => $draft->stopMoves,
            'time_stop' => $draft->timeStop,
            'open_exit' => $draft->openExit,
            'good_for' => $draft->goodFor,
        ];
    }

    /** @param array{timeframe: string, times: int}|null $kept */
    private static function closes(?array $kept): ?CloseRule
    {
        return $kept === null ? null : new CloseRule(TimeFrame::from($kept['timeframe']), $kept['times']);
    }
}
