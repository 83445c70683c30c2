<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Outcomes\EventKind;

/**
 * Something that happened to a published setup, told to its author and to those who follow it. It is never told twice.
 *
 * @property int            $id
 * @property int            $published_setup_id
 * @property int            $number which of the setup's events as published, from 0
 * @property int            $at     moment of the bar in which it happened
 * @property EventKind      $kind
 * @property string         $what   in a few words, with its price
 * @property PublishedSetup $publishedSetup
 */
class Alert extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => EventKind::class];
    }

    public function title(): string
    {
        return "{$this->publishedSetup->instrument->symbol}: {$this->what}";
    }

    /** @return BelongsTo<PublishedSetup, $this> */
    public function publishedSetup(): BelongsTo
    {
        return $this->belongsTo(PublishedSetup::class);
    }
}
