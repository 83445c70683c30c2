<?php

declare(strict_types=1);

namespace App\Models;

use App\Planning\PlanSnapshot;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

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
 * @property int|null $user_id  who made it, or undid it last
 * @property int      $revision of the plan after that
 * @property User|null $user
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

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
