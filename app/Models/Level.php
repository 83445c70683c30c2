<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\LevelGrade;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int        $id
 * @property int        $author_id
 * @property int        $instrument_id
 * @property int        $price         in units
 * @property string     $origin
 * @property LevelGrade $grade
 * @property Instrument $instrument
 */
class Level extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['grade' => LevelGrade::class];
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }
}
