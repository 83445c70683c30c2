<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Inertia\Testing\AssertableInertia;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\TestCase;
use Tests\World;

final class FeedTest extends TestCase
{
    use World;

    protected function setUp(): void
    {
        parent::setUp();
        $this->planned('OAKL.Q', 0.3, 0.1, 0.5);
        $this->planned('GRIT.Q', 0.3, 0.1, 0.5, 'pilot');
        $this->publish();
    }

    public function testTheEditionsAreAFeedAsTheTierReadsThem(): void
    {
        $text = $this->feed($this->harbour, 'editions.atom', 'application/atom+xml; charset=UTF-8');
        $feed = simplexml_load_string($text);
        self::assertNotFalse($feed);
        self::assertCount(1, $feed->entry);
        self::assertSame('Edition 1: Thursday 21 November 2024', (string) $feed->entry->title);
        self::assertStringStartsWith('urn:sha256:', (string) $feed->entry->id);
        self::assertSame(self::EVENING, (string) $feed->updated);
        self::assertStringContainsString('OAKL.Q', (string) $feed->entry->content);
        self::assertStringNotContainsString('GRIT.Q', $text);

        self::assertStringContainsString('GRIT.Q', $this->feed($this->pilot, 'editions.atom'));
    }

    public function testTheDatesAreACalendarOfWhatTheTierReads(): void
    {
        $text = $this->feed($this->harbour, 'dates.ics', 'text/calendar; charset=UTF-8');
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        self::assertStringContainsString('OAKL.Q: the wait ends', $text);
        self::assertStringNotContainsString('GRIT.Q', $text);
        self::assertStringContainsString('GRIT.Q', $this->feed($this->pilot, 'dates.ics'));
    }

    public function testAddressesAreGivenChangedAndTakenAway(): void
    {
        $this->get('/feeds/nothing/editions.atom')->assertNotFound();
        $this->actingAs($this->harbour)->get('/settings')->assertInertia(fn (AssertableInertia $page) => $page->where('settings.feeds', null));
        $this->post('/settings/feeds', ['on' => true])->assertRedirect();
        $first = (string) $this->harbour->refresh()->feed_token;
        $this->get('/settings')->assertInertia(fn (AssertableInertia $page) => $page->where('settings.feeds.editions', url("/feeds/{$first}/editions.atom")));

        $this->post('/settings/feeds', ['on' => true]);
        $this->get("/feeds/{$first}/editions.atom")->assertNotFound();
        $this->post('/settings/feeds', ['on' => false]);
        self::assertNull($this->harbour->refresh()->feed_token);
    }

    private function feed(User $reader, string $name, ?string $type = null): string
    {
        $this->actingAs($reader)->post('/settings/feeds', ['on' => true]);
        $token = (string) $reader->refresh()->feed_token;
        // the address alone opens it
        $this->app->make('auth')->forgetGuards();
        $response = $this->get("/feeds/{$token}/{$name}")->assertOk();
        if ($type !== null) {
            $response->assertHeader('Content-Type', $type);
        }

        return (string) $response->getContent();
    }
}
