<?php

declare(strict_types=1);

namespace App\Models;

use App\Planning\OptionTerms;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\CancelSide;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\Side;

/**
 * A setup while it is planned.
 *
 * @phpstan-import-type DraftLegState from DraftLeg
 * @phpstan-import-type OptionState from OptionTerms
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
 * @property int|null                                        $setup_kind_id
 * @property list<string>                                    $ticked        lines of the checklist that a person has ticked
 * @property OptionState|null                                $option        the same idea in options
 * @property Candidate                                       $candidate
 * @property SetupKind|null                                  $kind
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
            'ticked' => 'array',
            'option' => 'array',
        ];
    }

    /** @return BelongsTo<Candidate, $this> */
    public function candidate(): BelongsTo
    {
        return $this->belongsTo(Candidate::class);
    }

    /** @return BelongsTo<SetupKind, $this> */
    public function kind(): BelongsTo
    {
        return $this->belongsTo(SetupKind::class, 'setup_kind_id');
    }

    public function draft(): Draft
    {
        return Draft::fromState([
            'side' => $this->side->value,
            'legs' => $this->legs,
            'stop' => $this->stop,
            'stop_closes' => $this->stop_closes,
            'cancel' => $this->cancel,
            'cancel_side' => $this->cancel_side->value,
            'cancel_closes' => $this->cancel_closes,
            'targets' => $this->targets,
            'conditions' => $this->conditions,
            'stop_moves' => $this->stop_moves,
            'time_stop' => $this->time_stop,
            'open_exit' => $this->open_exit,
            'good_for' => $this->good_for,
        ]);
    }
}
