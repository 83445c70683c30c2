<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A picture in the words of a plan.
 *
 * @property int    $id
 * @property int    $author_id
 * @property string $hash      SHA-256 of its bytes
 * @property string $type
 * @property string $name
 */
class Attachment extends Model
{
    protected $guarded = [];

    /** On the local disk. */
    public function path(): string
    {
        return "attachments/{$this->hash}";
    }
}
