<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What the stand-in for a webhook's address has received.
 *
 * @property int                   $id
 * @property string                $url
 * @property array<string, string> $headers
 * @property string                $body
 * @property string|null           $delivery
 * @property Carbon                $created_at
 */
class SinkMessage extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['headers' => 'array'];
    }
}
