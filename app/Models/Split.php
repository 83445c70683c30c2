<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Market\Split as CoreSplit;

/**
 * @property int        $id
 * @property int        $instrument_id
 * @property string     $session       first one on the new scale
 * @property string     $ratio         new units for an old one
 * @property int|null   $applied_at    when levels and drafts were brought to the new scale
 * @property Instrument $instrument
 */
class Split extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }

    public function core(): CoreSplit
    {
        return CoreSplit::of($this->session, $this->ratio);
    }
}
