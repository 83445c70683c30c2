<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\CandidateState;
use App\Enums\NoTrade;
use App\Enums\Tier;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property int            $id
 * @property int            $plan_id
 * @property int            $instrument_id
 * @property int            $position
 * @property CandidateState $state
 * @property string         $reason
 * @property NoTrade        $no_trade      how it is passed
 * @property int|null       $conviction    1 to 5
 * @property string         $wrong_if      what would prove it wrong
 * @property int|null       $wrong_at      the price, in units, at which it is
 * @property int|null       $would_change  the price, in units, that would change that
 * @property Tier           $readers       the lowest tier that may read it
 * @property Plan           $plan
 * @property Instrument     $instrument
 * @property Setup|null     $setup
 */
class Candidate extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => CandidateState::class, 'no_trade' => NoTrade::class, 'readers' => Tier::class];
    }

    /** @return BelongsTo<Plan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(Plan::class);
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }

    /** @return HasOne<Setup, $this> */
    public function setup(): HasOne
    {
        return $this->hasOne(Setup::class);
    }
}
