<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One change in the life of a level.
 *
 * @property int    $id
 * @property int    $level_id
 * @property int    $at
 * @property string $by
 * @property string $what
 */
class LevelChange extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
