<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\DeliveryChannel;
use App\Enums\DeliveryState;
use App\Enums\DeliverySubject;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One thing that goes to one reader by one way.
 *
 * @property int             $id
 * @property int             $user_id
 * @property DeliveryChannel $channel
 * @property DeliverySubject $subject
 * @property int             $subject_id
 * @property DeliveryState   $state
 * @property int             $attempts
 * @property string|null     $error      of the last attempt
 * @property int|null        $claimed_at Unix seconds of this machine
 * @property User            $user
 */
class Delivery extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['channel' => DeliveryChannel::class, 'subject' => DeliverySubject::class, 'state' => DeliveryState::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** By which a receiver can tell that it has it already. */
    public function name(): string
    {
        return "watchpost-{$this->id}";
    }
}
