<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Market\MarketEventKind;
use Watchpost\Core\Market\SessionSide;

/**
 * @property int              $id
 * @property string           $key
 * @property int|null         $instrument_id null for the whole market
 * @property string           $date
 * @property MarketEventKind  $kind
 * @property string           $title
 * @property SessionSide|null $side
 * @property string|null      $time          of the home exchange
 * @property string           $source
 * @property int              $announced_at
 * @property Instrument|null  $instrument
 */
class MarketEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => MarketEventKind::class, 'side' => SessionSide::class];
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }
}
