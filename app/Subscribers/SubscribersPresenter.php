<?php

declare(strict_types=1);

namespace App\Subscribers;

use App\Data\DeliveriesData;
use App\Data\FailedDeliveryData;
use App\Data\SubscriberData;
use App\Data\TierData;
use App\Enums\DeliveryState;
use App\Enums\DeliverySubject;
use App\Enums\Role;
use App\Models\Alert;
use App\Models\Delivery;
use App\Models\Edition;
use App\Models\Tier;
use App\Models\Update;
use App\Models\User;
use App\Record\UpdateWords;

/** Shows the author who reads, as what, and what has reached them. */
final readonly class SubscribersPresenter
{
    private const LATEST = 8;

    public function __construct(private Tiers $tiers)
    {
    }

    /** @return list<TierData> the highest first */
    public function tiers(): array
    {
        $counts = User::query()->where('role', Role::Subscriber)->get()->countBy('tier');

        return array_values($this->tiers->all()->reverse()->map(static fn (Tier $tier): TierData => new TierData(
            $tier->id,
            $tier->key,
            $tier->name,
            $tier->sees,
            $tier->opens_after_hours,
            $tier->isVisitors(),
            $counts[$tier->key] ?? 0,
        ))->all());
    }

    /** @return list<SubscriberData> by name */
    public function roster(): array
    {
        return array_values(User::query()->where('role', Role::Subscriber)->orderBy('name')->get()->map(static fn (User $user): SubscriberData => new SubscriberData(
            $user->id,
            $user->name,
            $user->email,
            $user->tier ?? '',
            $user->joined_at === null ? 'invited '.($user->invited_at?->format('j M Y') ?? '') : 'since '.$user->joined_at->format('j M Y'),
            $user->joined_at !== null,
            $user->mails_editions || $user->mails_updates || $user->mails_alerts,
            $user->webhook_url !== null,
        ))->all());
    }

    /** @return list<DeliveriesData> of what was published last, the latest first */
    public function deliveries(): array
    {
        $told = Delivery::query()->selectRaw('subject, subject_id, max(id) as latest')->groupBy('subject', 'subject_id')->orderByDesc('latest')->limit(self::LATEST)->get();

        return array_values($told->map(fn (Delivery $one): ?DeliveriesData => $this->of($one->subject, $one->subject_id))->filter()->all());
    }

    /** Null for what goes to nobody. */
    public function of(DeliverySubject $subject, int $id): ?DeliveriesData
    {
        $states = Delivery::query()->where(['subject' => $subject, 'subject_id' => $id])->selectRaw('state, count(*) as n')->groupBy('state')->toBase()->pluck('n', 'state')->map(static fn (mixed $n): int => is_numeric($n) ? (int) $n : 0);
        if ($states->isEmpty()) {
            return null;
        }
        $failed = Delivery::query()->with('user')->where(['subject' => $subject, 'subject_id' => $id])->whereNotNull('error')->where('state', '!=', DeliveryState::Sent)->orderBy('id')->limit(self::LATEST)->get();
        [$title, $path] = $this->title($subject, $id);

        return new DeliveriesData(
            $title,
            $path,
            array_sum($states->all()),
            $states[DeliveryState::Sent->value] ?? 0,
            ($states[DeliveryState::Queued->value] ?? 0) + ($states[DeliveryState::Sending->value] ?? 0),
            array_values($failed->map(static fn (Delivery $one): FailedDeliveryData => new FailedDeliveryData($one->id, $one->user->name, $one->channel, $one->attempts, ($one->state === DeliveryState::Failed ? '' : 'will be tried again: ').$one->error))->all()),
        );
    }

    /** @return array{string, string} */
    private function title(DeliverySubject $subject, int $id): array
    {
        if ($subject === DeliverySubject::Edition) {
            $number = Edition::query()->findOrFail($id)->number;

            return ["Edition {$number}", "/editions/{$number}"];
        }
        if ($subject === DeliverySubject::Alert) {
            $alert = Alert::query()->with(['publishedSetup.edition', 'publishedSetup.instrument'])->findOrFail($id);

            return [$alert->title(), "/editions/{$alert->publishedSetup->edition->number}"];
        }
        $update = Update::query()->with(['publishedSetup.edition', 'publishedSetup.instrument'])->findOrFail($id);

        return ["{$update->publishedSetup->instrument->symbol}: ".lcfirst(UpdateWords::of($update)), "/editions/{$update->publishedSetup->edition->number}"];
    }
}
