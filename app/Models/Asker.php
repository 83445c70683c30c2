<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One who asks for a symbol.
 *
 * @property int           $id
 * @property int           $symbol_request_id
 * @property int           $user_id
 * @property string        $note
 * @property int           $asked_at
 * @property User          $user
 * @property SymbolRequest $request
 */
class Asker extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<SymbolRequest, $this> */
    public function request(): BelongsTo
    {
        return $this->belongsTo(SymbolRequest::class, 'symbol_request_id');
    }
}
