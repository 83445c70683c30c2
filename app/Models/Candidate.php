<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\CandidateOrder;
use App\Enums\CandidateSource;
use App\Enums\CandidateState;
use App\Enums\NoTrade;
use App\Enums\Relation;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Watchpost\Core\Setups\Side;

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
 * @property string         $readers       key of the lowest tier that it is meant for
 * @property CandidateSource $source       where it came from
 * @property string         $source_note
 * @property string         $theme         with which others it belongs
 * @property Side|null      $side          to which the author leans before there is a setup
 * @property int|null       $carried_id    what published setup it takes up
 * @property Relation|null  $relation      how
 * @property PublishedSetup|null $carried
 * @property Plan           $plan
 * @property Instrument     $instrument
 * @property bool           $either_or     of its variants, the first that is filled ends the others
 * @property Collection<int, Setup> $setups its variants in order
 */
class Candidate extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => CandidateState::class, 'no_trade' => NoTrade::class, 'either_or' => 'boolean', 'relation' => Relation::class, 'source' => CandidateSource::class, 'side' => Side::class];
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

    /** @return HasMany<Setup, $this> */
    public function setups(): HasMany
    {
        return $this->hasMany(Setup::class)->orderBy('position');
    }

    /** @return BelongsTo<PublishedSetup, $this> */
    public function carried(): BelongsTo
    {
        return $this->belongsTo(PublishedSetup::class, 'carried_id');
    }

    /** Its side: that of its setup once there is a whole one, or else the one the author leans to; null for both or neither. */
    public function leansTo(): ?Side
    {
        $sides = $this->setups->filter(static fn (Setup $setup): bool => $setup->draft()->isComplete())->map(static fn (Setup $setup): string => $setup->side->value)->unique();

        return match ($sides->count()) {
            0 => $this->side,
            1 => Side::from((string) $sides->first()),
            default => null,
        };
    }

    /** The name of the group it belongs to; empty for none. */
    public function groupOf(CandidateOrder $by): string
    {
        return match ($by) {
            CandidateOrder::Theme => $this->theme,
            CandidateOrder::Group => $this->instrument->group,
            CandidateOrder::Kind => $this->setups->first()->kind->name ?? '',
        };
    }

    /** Whether it only tells again what is published already, and needs no setup of its own. */
    public function stillStands(): bool
    {
        return $this->relation === Relation::Still;
    }

    /** Whether it still stands, or has a setup, and every one has entry and stop. */
    public function isPlanned(): bool
    {
        return $this->stillStands() || ($this->setups->isNotEmpty() && $this->setups->every(static fn (Setup $setup): bool => $setup->draft()->isComplete()));
    }
}
