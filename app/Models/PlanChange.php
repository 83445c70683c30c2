<?php

declare(strict_types=1);

namespace App\Models;

use App\Planning\PlanSnapshot;
use Illuminate\Database\Eloquent\Model;

/**
 * @phpstan-import-type Snapshot from PlanSnapshot
 *
 * @property int      $id
 * @property int      $plan_id
 * @property int      $position
 * @property string   $label
 * @property int|null $instrument_id
 * @property Snapshot $before
 * @property Snapshot $after
 */
class PlanChange extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['before' => 'array', 'after' => 'array'];
    }
}
