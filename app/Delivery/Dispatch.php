<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Enums\DeliveryChannel;
use App\Enums\DeliveryState;
use App\Enums\DeliverySubject;
use App\Enums\Role;
use App\Jobs\Deliver;
use App\Models\Alert;
use App\Models\Delivery;
use App\Models\Follow;
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
            self::readers($subject, $id, $channel)->chunkById(self::AT_ONCE, static function (Collection $users) use ($subject, $id, $channel): void {
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
    private static function readers(DeliverySubject $subject, int $id, DeliveryChannel $channel): Builder
    {
        $switch = match ($subject) {
            DeliverySubject::Edition => 'mails_editions',
            DeliverySubject::Update => 'mails_updates',
            DeliverySubject::Alert => 'mails_alerts',
        };

        return ($subject === DeliverySubject::Alert ? self::watching($id) : User::query()->where('role', Role::Subscriber)->whereNotNull('joined_at'))->when(
            $channel === DeliveryChannel::Mail,
            static fn (Builder $users) => $users->where($switch, true),
            static fn (Builder $users) => $users->whereNotNull('webhook_url'),
        );
    }

    /** @return Builder<User> who follows the setup of an alert, and who published it */
    private static function watching(int $alertId): Builder
    {
        $published = Alert::query()->with('publishedSetup.edition')->findOrFail($alertId)->publishedSetup;

        return User::query()->where(static fn (Builder $users) => $users
            ->whereKey($published->edition->author_id)
            ->orWhere(static fn (Builder $users) => $users->where('role', Role::Subscriber)->whereNotNull('joined_at')->whereIn('id', Follow::query()->where('published_setup_id', $published->id)->select('user_id'))));
    }
}
