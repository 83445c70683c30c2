<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $user_id
 * @property int $published_setup_id
 */
class Follow extends Model
{
    protected $guarded = [];
}
