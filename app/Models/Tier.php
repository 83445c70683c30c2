<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\Sees;
use Illuminate\Database\Eloquent\Model;

/**
 * What a reader has subscribed to; the lowest are the visitors, who have no account. A sealed edition names tiers by their
 * key, which never changes; what a tier is called and sees is the author's to set.
 *
 * @property int      $id
 * @property string   $key
 * @property string   $name
 * @property int      $rank             a higher tier may read all that a lower one may
 * @property Sees     $sees             of what it may read
 * @property int|null $opens_after_hours from then on an edition is open to it in full; null: never
 */
class Tier extends Model
{
    public const VISITORS = 'visitors';

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sees' => Sees::class];
    }

    public function isVisitors(): bool
    {
        return $this->key === self::VISITORS;
    }
}
