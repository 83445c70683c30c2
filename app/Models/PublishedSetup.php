<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\Tier;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * An index entry to one setup in a sealed edition.
 *
 * @property int          $id
 * @property int          $edition_id
 * @property int          $instrument_id
 * @property string       $key           its name within the edition
 * @property Tier         $readers
 * @property Edition      $edition
 * @property Instrument   $instrument
 * @property Outcome|null $outcome
 */
class PublishedSetup extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['readers' => Tier::class];
    }

    /** @return BelongsTo<Edition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(Edition::class);
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }

    /** @return HasOne<Outcome, $this> */
    public function outcome(): HasOne
    {
        return $this->hasOne(Outcome::class);
    }
}
