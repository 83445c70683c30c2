<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * How much an event matters to an author.
 *
 * @property int    $id
 * @property int    $author_id
 * @property int    $market_event_id
 * @property int    $weight          0 to 3
 * @property string $note
 */
class EventWeight extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
