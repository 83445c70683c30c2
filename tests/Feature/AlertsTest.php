<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FollowSetup;
use App\Jobs\EvaluateSetup;
use App\Models\Alert;
use App\Models\MailboxMessage;
use App\Models\PublishedSetup;
use App\Models\SinkMessage;
use App\Models\User;
use App\Record\EventWords;
use Tests\Played;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Outcomes\Event;
use Watchpost\Core\Outcomes\EventKind;

/** What happens to a published setup is told to its author and to those who follow it, once. */
final class AlertsTest extends TestCase
{
    use Played;
    use World;

    private const FILLED = [[1.0, 1.0, 0.975, 0.99]];

    private function published(string $readers = 'harbour'): PublishedSetup
    {
        $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03, readers: $readers);
        $this->publish();
        MailboxMessage::query()->delete();

        return PublishedSetup::query()->sole();
    }

    /** @param list<array{float, float, float, float}> $bars */
    private function happens(PublishedSetup $published, array $bars): void
    {
        $this->play($bars);
        dispatch_sync(new EvaluateSetup($published->id));
    }

    /** @return list<string> the names of those who were told, with what */
    private static function told(): array
    {
        return MailboxMessage::query()->orderBy('id')->get()->map(static fn (MailboxMessage $mail): string => strtok($mail->to, '@').": {$mail->subject}")->sort()->values()->all();
    }

    public function testPublishingArmsTheAlertsAndWhoFollowsIsToldOnce(): void
    {
        $published = $this->published();
        self::assertSame($published->edition->published_at, $published->armed_at);
        (new FollowSetup())($this->harbour, $published, true);
        $this->happens($published, self::FILLED);
        $at = $this->at(0.98);

        self::assertSame(["jonas: OAKL.Q: filled at {$at}", "maren: OAKL.Q: filled at {$at}"], self::told());
        $mail = MailboxMessage::query()->where('to', 'jonas@watchpost.test')->sole();
        self::assertStringContainsString('> Long when price falls to '.$at, $mail->text);
        self::assertStringContainsString('/editions/1', $mail->text);

        dispatch_sync(new EvaluateSetup($published->id));
        $this->happens($published, [[0.99, 0.995, 0.985, 0.99]]);
        self::assertCount(2, self::told(), 'nothing new has happened');

        $this->happens($published, [[0.99, 1.04, 0.985, 1.03]]);
        self::assertSame([EventKind::Fill, EventKind::Target], Alert::query()->orderBy('number')->get()->map->kind->all());
        self::assertContains("jonas: OAKL.Q: target 1 at {$this->at(1.03)}", self::told());
    }

    public function testTheReasonIsToldAfterThePrice(): void
    {
        $words = new EventWords();
        $out = new Event(1, '2024-11-21', EventKind::Time, ['price' => '27.18', 'share' => '1']);
        $void = new Event(1, '2024-11-21', EventKind::Void, ['leg' => 'add: late', 'price' => '27.18', 'reason' => 'past_stop']);

        self::assertSame(['out at 27.18: its time was over', 'void “add: late” at 27.18: the price was past the stop'], [$words->withPrice($out), $words->withPrice($void)]);
    }

    public function testOnlyThoseAreToldWhoFollowWantItAndReadIt(): void
    {
        $published = $this->published(readers: 'pilot');
        foreach ([$this->pilot, $this->harbour] as $reader) {
            (new FollowSetup())($reader, $published, true);
        }
        $this->author->update(['mails_alerts' => false]);
        $this->happens($published, self::FILLED);

        self::assertSame(["ines: OAKL.Q: filled at {$this->at(0.98)}"], self::told(), 'it is withheld from Harbour, and the author wants no mail');
    }

    public function testWhatHappenedBeforeItWasArmedIsNotTold(): void
    {
        $published = $this->published();
        $published->update(['armed_at' => null]);
        $this->happens($published, self::FILLED);

        self::assertSame([[], 0], [self::told(), Alert::query()->count()]);
    }

    public function testAlertsAreSwitchedOffInTheSettingsOfAnyone(): void
    {
        foreach ([$this->author, $this->harbour] as $person) {
            $this->actingAs($person)->get('/settings')->assertInertia(fn ($page) => $page->where('settings.mailsAlerts', true));
            $this->patch('/settings/deliveries', ['mails_editions' => true, 'mails_updates' => true, 'mails_alerts' => false, 'webhook_url' => null])->assertSessionHasNoErrors();
        }

        self::assertSame([true, false], [User::query()->findOrFail($this->harbour->id)->mails_updates, User::query()->findOrFail($this->author->id)->mails_alerts]);
    }

    public function testAWebhookTakesTheSameForAProgram(): void
    {
        $published = $this->published();
        $this->harbour->update(['webhook_url' => 'https://jonas.test/hook', 'webhook_secret' => 'x', 'mails_alerts' => false]);
        (new FollowSetup())($this->harbour, $published, true);
        $this->happens($published, self::FILLED);

        $body = json_decode((string) SinkMessage::query()->sole()->body, true);
        self::assertSame(['alert', 1, 'OAKL.Q', 'fill'], [$body['event'] ?? null, $body['edition'] ?? null, $body['symbol'] ?? null, $body['kind'] ?? null]);
    }
}
