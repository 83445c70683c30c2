<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Enums\DeliveryChannel;
use App\Enums\DeliveryState;
use App\Enums\DeliverySubject;
use App\Enums\Role;
use App\Jobs\Deliver;
use App\Models\Delivery;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/**
 * Hands something to everyone it goes to: a row for each reader and way, and a job for each row that is not on its way yet.
 * Done again, it adds what is missing and nothing twice.
 */
final class Dispatch
{
    private const AT_ONCE = 500;

    /** @return int how many are on their way now */
    public function __invoke(DeliverySubject $subject, int $id): int
    {
        foreach (DeliveryChannel::cases() as $channel) {
            self::readers($subject, $channel)->chunkById(self::AT_ONCE, static function (Collection $users) use ($subject, $id, $channel): void {
                $now = now();
                Delivery::query()->insertOrIgnore(array_values($users->map(static fn (User $user): array => [
                    'user_id' => $user->id,
                    'channel' => $channel->value,
                    'subject' => $subject->value,
                    'subject_id' => $id,
                    'state' => DeliveryState::Queued->value,
                    'created_at' => $now,
                    'updated_at' => $now,
                ])->all()));
            });
        }

        $count = 0;
        Delivery::query()->where(['subject' => $subject, 'subject_id' => $id, 'state' => DeliveryState::Queued])->select('id')->chunkById(self::AT_ONCE, static function (Collection $rows) use (&$count): void {
            foreach ($rows as $row) {
                Deliver::dispatch($row->id);
                ++$count;
            }
        });

        return $count;
    }

    /** @return Builder<User> */
    private static function readers(DeliverySubject $subject, DeliveryChannel $channel): Builder
    {
        return User::query()->where('role', Role::Subscriber)->whereNotNull('joined_at')->when(
            $channel === DeliveryChannel::Mail,
            static fn (Builder $users) => $users->where($subject === DeliverySubject::Edition ? 'mails_editions' : 'mails_updates', true),
            static fn (Builder $users) => $users->whereNotNull('webhook_url'),
        );
    }
}
