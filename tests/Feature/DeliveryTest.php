<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\PublishPlan;
use App\Delivery\Dispatch;
use App\Enums\DeliveryChannel;
use App\Enums\DeliveryState;
use App\Enums\DeliverySubject;
use App\Enums\Role;
use App\Jobs\Deliver;
use App\Jobs\DispatchDeliveries;
use App\Jobs\TakeUpDeliveries;
use App\Models\Delivery;
use App\Models\Edition;
use App\Models\MailboxMessage;
use App\Models\PublishedSetup;
use App\Models\SinkMessage;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;
use Tests\World;

final class DeliveryTest extends TestCase
{
    use World;

    public function testAnEditionReachesEveryReaderOnceAsTheirTierReadsIt(): void
    {
        $this->planned('OAKL.Q');
        $this->planned('GRIT.Q', readers: 'pilot');
        $this->publish();

        self::assertEqualsCanonicalizing(['ines@watchpost.test', 'jonas@watchpost.test'], MailboxMessage::query()->pluck('to')->all());
        [$pilot, $harbour] = [$this->mailTo('ines'), $this->mailTo('jonas')];
        self::assertStringContainsString('GRIT.Q', $pilot->html.$pilot->text);
        self::assertStringNotContainsString('GRIT.Q', $harbour->html.$harbour->text.json_encode($harbour->headers));
        self::assertStringContainsString('1 more for Pilot readers.', $harbour->text);
        self::assertSame('Edition 1: Thursday 21 November 2024', $harbour->subject);
        self::assertSame(['sent', 'sent'], Delivery::query()->pluck('state')->map->value->all());
    }

    public function testTheEditionTellsItsAuthorHowFarItHasReached(): void
    {
        $this->planned('OAKL.Q');
        $this->publish();
        Delivery::query()->firstOrFail()->update(['state' => DeliveryState::Queued]);

        $this->actingAs($this->author)->get('/editions/1')->assertInertia(fn ($page) => $page->where('deliveries.total', 2)->where('deliveries.sent', 1)->where('deliveries.waiting', 1));
        $this->actingAs($this->pilot)->get('/editions/1')->assertInertia(fn ($page) => $page->where('deliveries', null));
        auth()->logout();
        $this->get('/editions/1')->assertInertia(fn ($page) => $page->where('deliveries', null));
    }

    public function testPublishedTwiceOrHandedOutAgainNothingGoesTwice(): void
    {
        $this->planned('OAKL.Q');
        $plan = $this->plan();
        app(PublishPlan::class)($plan);
        app(PublishPlan::class)($plan);
        app(Dispatch::class)(DeliverySubject::Edition, Edition::query()->sole()->id);
        foreach (Delivery::query()->pluck('id') as $id) {
            Deliver::dispatchSync($id);
        }

        self::assertSame([1, 2, 2], [Edition::query()->count(), Delivery::query()->count(), MailboxMessage::query()->count()]);
    }

    public function testAWorkerThatWasKilledInTheMiddleIsTakenUpAndTheReceiverTakesItOnce(): void
    {
        $this->planned('OAKL.Q');
        $this->publish();
        $delivery = Delivery::query()->firstOrFail();
        // killed after sending, before that was written down
        $delivery->update(['state' => DeliveryState::Sending, 'claimed_at' => now()->getTimestamp() - 10]);
        TakeUpDeliveries::dispatchSync();
        self::assertSame(DeliveryState::Sending, $delivery->refresh()->state);
        $delivery->update(['claimed_at' => now()->getTimestamp() - 3_600]);
        TakeUpDeliveries::dispatchSync();

        self::assertSame([DeliveryState::Sent, 2], [$delivery->refresh()->state, $delivery->attempts]);
        self::assertSame(1, MailboxMessage::query()->where('delivery', $delivery->name())->count());
    }

    public function testTwoWorkersDoNotSendTheSame(): void
    {
        Queue::fake();
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        app(Dispatch::class)(DeliverySubject::Edition, $edition->id);
        $delivery = Delivery::query()->firstOrFail();
        $delivery->update(['state' => DeliveryState::Sending, 'claimed_at' => now()->getTimestamp()]);
        app()->call([new Deliver($delivery->id), 'handle']);

        self::assertSame(0, MailboxMessage::query()->count());
    }

    public function testPublicationHandsItsDeliveriesToTheQueue(): void
    {
        Queue::fake();
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        Queue::assertPushed(DispatchDeliveries::class, static fn (DispatchDeliveries $job): bool => $job->subject === DeliverySubject::Edition && $job->subjectId === $edition->id);
        Queue::assertNotPushed(Deliver::class);
    }

    public function testAnUpdateReachesThoseWhoReadTheSetup(): void
    {
        $this->planned('GRIT.Q', readers: 'pilot');
        $this->publish();
        MailboxMessage::query()->delete();
        $published = PublishedSetup::query()->sole();
        $this->actingAs($this->author)->post("/plan/review/{$published->id}/updates", ['kind' => 'note', 'text' => 'Thin before the holiday.'])->assertSessionHasNoErrors();

        self::assertSame(['ines@watchpost.test'], MailboxMessage::query()->pluck('to')->all());
        self::assertSame('GRIT.Q: note', MailboxMessage::query()->sole()->subject);
        self::assertStringContainsString('Thin before the holiday.', $this->mailTo('ines')->text);
    }

    public function testAWebhookIsSignedAndSaysTheSameForAProgram(): void
    {
        $this->actingAs($this->harbour)->patch('/settings/deliveries', ['mails_editions' => false, 'mails_updates' => true, 'mails_alerts' => true, 'webhook_url' => 'https://jonas.test/hook'])->assertSessionHasNoErrors();
        $this->planned('OAKL.Q');
        $this->planned('GRIT.Q', readers: 'pilot');
        $this->publish();
        $call = SinkMessage::query()->sole();
        /** @var array{event: string, edition: int, setups: list<array<string, string>>, withheld: int} $body */
        $body = json_decode($call->body, true);

        self::assertSame(['edition', 1, ['OAKL.Q'], 1], [$body['event'], $body['edition'], array_column($body['setups'], 'symbol'), $body['withheld']]);
        self::assertSame('sha256='.hash_hmac('sha256', $call->body, (string) $this->harbour->refresh()->webhook_secret), $call->headers['X-Watchpost-Signature']);
        self::assertStringNotContainsString('GRIT.Q', $call->body);
        self::assertSame(['ines@watchpost.test'], MailboxMessage::query()->pluck('to')->all());
    }

    public function testWhatDoesNotArriveIsTriedAgainShownAndCanBeTriedAnew(): void
    {
        $this->harbour->update(['mails_editions' => false, 'webhook_url' => 'https://down.test/hook', 'webhook_secret' => 'x']);
        $this->planned('OAKL.Q');
        $this->publish();
        $delivery = Delivery::query()->where('channel', DeliveryChannel::Webhook)->sole();
        self::assertSame([DeliveryState::Failed, Deliver::ATTEMPTS, 'The address answered 503.'], [$delivery->state, $delivery->attempts, $delivery->error]);
        $this->actingAs($this->author)->get('/subscribers')->assertInertia(fn ($page) => $page
            ->where('deliveries.0.title', 'Edition 1')
            ->where('deliveries.0.sent', 1)
            ->where('deliveries.0.total', 2)
            ->where('deliveries.0.failed.0.to', 'Jonas')
            ->where('deliveries.0.failed.0.error', 'The address answered 503.'));
        $this->harbour->update(['webhook_url' => 'https://jonas.test/hook']);
        $this->post("/subscribers/deliveries/{$delivery->id}");

        self::assertSame([DeliveryState::Sent, null, 1], [$delivery->refresh()->state, $delivery->error, SinkMessage::query()->count()]);
    }

    public function testWhoUnsubscribesIsSentNoMoreMails(): void
    {
        $this->planned('OAKL.Q');
        $this->publish();
        $way = trim($this->mailTo('jonas')->headers['List-Unsubscribe'], '<>');
        $path = str_replace(url('/'), '', $way);
        $this->get($path)->assertInertia(fn ($page) => $page->component('Unsubscribe')->where('isDone', false));
        self::assertTrue($this->harbour->refresh()->mails_editions);
        $this->get(str_replace("unsubscribe/{$this->harbour->id}", "unsubscribe/{$this->pilot->id}", $path))->assertForbidden();
        $this->post($path, ['List-Unsubscribe' => 'One-Click'])->assertOk();
        MailboxMessage::query()->delete();
        $this->planned('TARN.Q');
        $this->publish();

        self::assertSame(['ines@watchpost.test'], MailboxMessage::query()->pluck('to')->all());
    }

    public function testWhoIsOnlyInvitedIsSentNothingYet(): void
    {
        $this->person('new', Role::Subscriber, 'harbour')->update(['joined_at' => null]);
        $this->planned('OAKL.Q');
        $this->publish();
        self::assertSame(2, Delivery::query()->count());
    }

    public function testTheStandInsShowWhatTheyTook(): void
    {
        $this->planned('OAKL.Q');
        $this->publish();
        $mail = $this->mailTo('jonas');
        $this->get('/mailbox?to=jonas@watchpost.test')->assertInertia(fn ($page) => $page->component('Mailbox')->has('mails', 1)->where('mails.0.subject', $mail->subject));
        $this->get("/mailbox/{$mail->id}")->assertOk()->assertSee('OAKL.Q')->assertHeader('Content-Security-Policy');
        $this->get('/sink')->assertInertia(fn ($page) => $page->component('Sink')->where('messages', []));
        config(['mail.default' => 'smtp', 'watchpost.webhooks' => 'http']);
        $this->get('/mailbox')->assertNotFound();
        $this->get('/sink')->assertNotFound();
        config(['mail.default' => 'mailbox']);
        $this->get('/mailbox')->assertOk();
        $this->app->detectEnvironment(static fn (): string => 'production');
        $this->get('/mailbox')->assertNotFound();
        $this->get("/mailbox/{$mail->id}")->assertNotFound();
    }

    private function mailTo(string $name): MailboxMessage
    {
        return MailboxMessage::query()->where('to', "{$name}@watchpost.test")->latest('id')->firstOrFail();
    }
}
