<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\RunState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * The made-up market being played forward: how far it is to go, and how far it has come.
 *
 * @property int            $id
 * @property int            $user_id
 * @property string         $label
 * @property int            $until
 * @property RunState $state
 * @property int            $steps_total
 * @property int            $steps_done
 * @property string|null    $message
 */
class MarketRun extends Model
{
    protected $guarded = [];

    /** @return Builder<self> */
    public static function underWay(): Builder
    {
        return self::query()->whereIn('state', RunState::underWay());
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => RunState::class];
    }
}
