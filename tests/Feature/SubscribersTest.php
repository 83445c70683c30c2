<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Delivery;
use App\Models\Edition;
use App\Models\MailboxMessage;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\ViewErrorBag;
use Tests\TestCase;
use Tests\World;

/** The roster, invitations, passwords, sessions and leaving. */
final class SubscribersTest extends TestCase
{
    use World;

    public function testARosterIsBroughtInAndItsFaultsAreToldByLine(): void
    {
        $csv = "Name,Address,Tier\nEdda Marl,edda@watchpost.test,Harbour\nJonas,jonas@watchpost.test,pilot\nInes,ines@watchpost.test,Pilot\nNobody,not an address,Harbour\n,x@watchpost.test,Harbour\nOlin Reed,olin@watchpost.test,Captain\nMaren,maren@watchpost.test,Pilot\n";
        $this->actingAs($this->author)->from('/subscribers')->followingRedirects()->post('/subscribers/roster', ['roster' => UploadedFile::fake()->createWithContent('roster.csv', $csv)])->assertInertia(fn ($page) => $page
            ->where('report.invited', 1)
            ->where('report.changed', 1)
            ->where('report.same', 1)
            ->where('report.faults', fn ($faults): bool => array_map(static fn (array $fault): array => [$fault['line'], $fault['field']], [...$faults]) === [[5, 'address'], [6, 'name'], [7, 'tier'], [8, 'address']]));

        self::assertSame('pilot', $this->harbour->refresh()->tier);
        self::assertSame(['edda@watchpost.test'], MailboxMessage::query()->pluck('to')->all());
        self::assertSame('author', $this->author->refresh()->role->value);
    }

    public function testAFileThatIsNoRosterIsRefusedWhole(): void
    {
        $this->actingAs($this->author);
        foreach (["Who,Where\nEdda,edda@watchpost.test\n" => 'lacks the columns name, address, tier', '' => 'empty'] as $csv => $says) {
            $this->post('/subscribers/roster', ['roster' => UploadedFile::fake()->createWithContent('roster.csv', $csv)])->assertSessionHasErrors('roster');
            $errors = session('errors');
            self::assertStringContainsString($says, $errors instanceof ViewErrorBag ? $errors->first('roster') : '');
        }
        self::assertSame(4, User::query()->count());
    }

    public function testTheRosterIsTakenOutAsItIsBroughtIn(): void
    {
        $text = $this->actingAs($this->author)->get('/subscribers/roster')->assertOk()->streamedContent();
        self::assertStringStartsWith("name,address,tier,joined\n", $text);
        self::assertStringContainsString('Jonas,jonas@watchpost.test,harbour,2024-10-01', $text);
        $this->from('/subscribers')->followingRedirects()->post('/subscribers/roster', ['roster' => UploadedFile::fake()->createWithContent('roster.csv', $text)])->assertInertia(fn ($page) => $page->where('report.same', 2)->where('report.faults', []));
    }

    public function testAnInvitationLeadsToAPasswordOnceAndIn(): void
    {
        $this->actingAs($this->author)->post('/subscribers', ['name' => 'Edda Marl', 'address' => 'Edda@watchpost.test', 'tier' => 'harbour'])->assertSessionHasNoErrors();
        $this->post('/subscribers', ['name' => 'Again', 'address' => 'ines@watchpost.test', 'tier' => 'harbour'])->assertSessionHasErrors('address');
        $this->post('/subscribers', ['name' => 'Free', 'address' => 'free@watchpost.test', 'tier' => 'visitors'])->assertSessionHasErrors('tier');
        $this->app->make('auth')->guard('web')->logout();
        $way = $this->wayIn('edda@watchpost.test', 'invitations');
        $this->get($way)->assertInertia(fn ($page) => $page->component('NewPassword')->where('isFirst', true)->where('email', 'edda@watchpost.test'));
        $path = (string) strtok($way, '?');
        $this->post($path, ['email' => 'edda@watchpost.test', 'password' => 'short', 'password_confirmation' => 'short'])->assertSessionHasErrors('password');
        $this->post($path, ['email' => 'edda@watchpost.test', 'password' => 'lantern light', 'password_confirmation' => 'lantern light'])->assertRedirect('/');
        $this->assertAuthenticated();
        self::assertNotNull(User::query()->where('email', 'edda@watchpost.test')->firstOrFail()->joined_at);
        $this->app->make('auth')->guard('web')->logout();
        $this->post($path, ['email' => 'edda@watchpost.test', 'password' => 'another one', 'password_confirmation' => 'another one'])->assertSessionHasErrors('password');
    }

    public function testAForgottenPasswordIsReplacedAndNobodyLearnsWhoHasAnAccount(): void
    {
        $this->post('/password', ['email' => 'nobody@watchpost.test'])->assertSessionHas('notice', $notice = 'If there is an account with this address, a mail is on its way to it.');
        $this->post('/password', ['email' => 'jonas@watchpost.test'])->assertSessionHas('notice', $notice);
        self::assertSame(['jonas@watchpost.test'], MailboxMessage::query()->pluck('to')->all());
        $path = (string) strtok($this->wayIn('jonas@watchpost.test', 'password'), '?');
        $this->post($path, ['email' => 'ines@watchpost.test', 'password' => 'stolen away', 'password_confirmation' => 'stolen away'])->assertSessionHasErrors('password');
        $this->post($path, ['email' => 'jonas@watchpost.test', 'password' => 'lantern light', 'password_confirmation' => 'lantern light'])->assertRedirect('/');
        self::assertTrue(Hash::check('lantern light', $this->harbour->refresh()->password));
    }

    public function testASessionElsewhereIsListedAndEnded(): void
    {
        config(['session.driver' => 'database']);
        $this->post('/sign-in', ['email' => 'jonas@watchpost.test', 'password' => 'lantern'])->assertRedirect('/');
        DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $this->harbour->id, 'ip_address' => '10.0.0.9', 'user_agent' => 'Mozilla/5.0 (Linux) Firefox/140.0', 'payload' => '', 'last_activity' => 1_700_000_000]);
        $remembered = $this->harbour->refresh()->remember_token;
        $this->get('/settings')->assertInertia(fn ($page) => $page->where('settings.sessions', fn ($sessions): bool => in_array('Firefox on Linux', array_column([...$sessions], 'what'), true)));
        $this->post('/settings/sign-out-elsewhere');
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
        self::assertNotSame($remembered, $this->harbour->refresh()->remember_token);
    }

    public function testAPasswordIsChangedWithThePresentOne(): void
    {
        $this->actingAs($this->harbour);
        $this->patch('/settings/password', ['current' => 'wrong', 'password' => 'lantern light', 'password_confirmation' => 'lantern light'])->assertSessionHasErrors('current');
        $this->patch('/settings/password', ['current' => 'lantern', 'password' => 'lantern light', 'password_confirmation' => 'lantern light'])->assertSessionHasNoErrors();
        self::assertTrue(Hash::check('lantern light', $this->harbour->refresh()->password));
    }

    public function testWhoLeavesTakesEverythingAlongAndTheEditionsStay(): void
    {
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        $this->actingAs($this->harbour)->patch('/settings/account', ['value' => 20_000, 'riskPercent' => 1]);
        $this->delete('/settings', ['current' => 'wrong'])->assertSessionHasErrors('current');
        $this->delete('/settings', ['current' => 'lantern'])->assertRedirect('/editions');
        $this->assertGuest();

        self::assertModelMissing($this->harbour);
        self::assertSame([0, 0], [Delivery::query()->where('user_id', $this->harbour->id)->count(), DB::table('author_settings')->where('author_id', $this->harbour->id)->count()]);
        self::assertSame($edition->seal, Edition::query()->sole()->seal);
        $this->actingAs($this->author)->delete('/settings', ['current' => 'lantern'])->assertForbidden();
    }

    public function testAnAddressThatIsNoneIsNoWebhook(): void
    {
        $this->actingAs($this->harbour)->patch('/settings/deliveries', ['mails_editions' => true, 'mails_updates' => true, 'mails_alerts' => true, 'webhook_url' => 'file:///etc/passwd'])->assertSessionHasErrors('webhook_url');
        self::assertNull($this->harbour->refresh()->webhook_url);
    }

    private function wayIn(string $address, string $kind): string
    {
        $mail = MailboxMessage::query()->where('to', $address)->latest('id')->firstOrFail();
        self::assertSame(1, preg_match("~/{$kind}/[^\\s\"<]+~", html_entity_decode($mail->text), $found));

        return $found[0];
    }
}
