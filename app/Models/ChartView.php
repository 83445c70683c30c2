<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * How an author left the chart of an instrument.
 *
 * @property int          $id
 * @property int          $author_id
 * @property int          $instrument_id
 * @property array<mixed> $value
 */
class ChartView extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['value' => 'array'];
    }
}
