<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A mail in the stand-in for a mail server.
 *
 * @property int                   $id
 * @property string                $to
 * @property string                $subject
 * @property string                $html
 * @property string                $text
 * @property array<string, string> $headers
 * @property string|null           $delivery
 * @property Carbon                $created_at
 */
class MailboxMessage extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['headers' => 'array'];
    }
}
