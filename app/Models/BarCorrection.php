<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Market\TimeFrame;

/**
 * A bar told again with other figures: [open, high, low, close, volume], prices in units.
 *
 * @property int                            $id
 * @property int                            $instrument_id
 * @property int|null                       $import_id
 * @property TimeFrame                      $timeframe
 * @property int                            $starts_at
 * @property string                         $session
 * @property array{int, int, int, int, int} $was
 * @property array{int, int, int, int, int} $is
 * @property bool                           $held_back  whether the old figures stay, as a setup was judged on them
 * @property int                            $noticed_at
 * @property Instrument                     $instrument
 */
class BarCorrection extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['timeframe' => TimeFrame::class, 'was' => 'array', 'is' => 'array', 'held_back' => 'boolean'];
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }
}
