<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Market;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\Session;

final class ExchangeCalendarTest extends TestCase
{
    private ExchangeCalendar $calendar;

    protected function setUp(): void
    {
        $this->calendar = new ExchangeCalendar('Quay', new \DateTimeZone('Atlantic/Faroe'), '09:30', '16:00', ['2026-10-19' => 'Lamplighters'], ['2026-12-24' => '13:00']);
    }

    public function testThereIsNoSessionOnHolidaysAndWeekends(): void
    {
        self::assertNull($this->calendar->session('2026-10-19'));
        self::assertNull($this->calendar->session('2026-10-17'));
        self::assertSame(['2026-10-16', '2026-10-20'], array_map(static fn (Session $s): string => $s->date, $this->calendar->between('2026-10-16', '2026-10-20')));
    }

    public function testTheHoursFollowTheClockChange(): void
    {
        self::assertSame(['2026-10-23T08:30:00Z', '2026-10-26T09:30:00Z'], array_map(
            fn (string $date): string => Instant::format($this->calendar->session($date)->open ?? 0),
            ['2026-10-23', '2026-10-26'],
        ));
    }

    public function testAHalfDayClosesEarly(): void
    {
        self::assertTrue($this->calendar->isHalfDay('2026-12-24'));
        self::assertSame('2026-12-24T13:00:00Z', Instant::format($this->calendar->session('2026-12-24')->close ?? 0));
    }

    public function testTheNthOpeningSkipsWhatIsClosed(): void
    {
        $evening = (int) strtotime('2026-10-14T18:00:00Z');

        self::assertSame(['2026-10-15', '2026-10-22'], [$this->calendar->opening($evening)->date, $this->calendar->opening($evening, 5)->date]);
    }

    public function testASessionRunsFromItsOpenToItsClose(): void
    {
        self::assertNotNull($this->calendar->running((int) strtotime('2026-10-15T08:30:00Z')));
        self::assertNull($this->calendar->running((int) strtotime('2026-10-15T15:00:00Z')));
    }

    public function testASessionMayOpenOnTheEveningBeforeItsDateOnBothSidesOfTheClockChange(): void
    {
        $futures = new ExchangeCalendar('Futures', new \DateTimeZone('Atlantic/Faroe'), '18:30', '17:30', ['2026-12-25' => 'Christmas'], opensDayBefore: true);
        $hours = static fn (?Session $session): array => [Instant::format($session->open ?? 0), Instant::format($session->close ?? 0)];

        self::assertSame(['2026-10-22T17:30:00Z', '2026-10-23T16:30:00Z'], $hours($futures->session('2026-10-23')));
        self::assertSame(['2026-10-25T18:30:00Z', '2026-10-26T17:30:00Z'], $hours($futures->session('2026-10-26')), 'opened on Sunday, after the change');
        self::assertSame('2026-10-26', $futures->running((int) strtotime('2026-10-25T19:00:00Z'))?->date);
        self::assertSame('2026-10-26', $futures->running((int) strtotime('2026-10-26T12:00:00Z'))?->date);
        self::assertNull($futures->running((int) strtotime('2026-10-26T18:00:00Z')), 'the hour between two sessions');
        self::assertSame('2026-10-27', $futures->opening((int) strtotime('2026-10-26T18:00:00Z'))->date);
        self::assertSame('2026-10-26', $futures->finished((int) strtotime('2026-10-26T18:00:00Z'))->date);
        self::assertSame('2026-12-28', $futures->countedFrom('2026-12-24', 2)->date);
    }

    public function testRoundTheClockSessionsFollowOneAnotherWithoutAGap(): void
    {
        $coin = new ExchangeCalendar('Coins', new \DateTimeZone('UTC'), '00:00', '24:00', weekdays: [1, 2, 3, 4, 5, 6, 7]);
        $sessions = $coin->between('2026-10-24', '2026-10-26');

        self::assertSame(['2026-10-24', '2026-10-25', '2026-10-26'], array_map(static fn (Session $one): string => $one->date, $sessions));
        self::assertSame($sessions[0]->close, $sessions[1]->open);
        self::assertSame('2026-10-25', $coin->running($sessions[1]->open)?->date);
    }

    public function testPricesAreMadeAroundTheSessionToo(): void
    {
        $calendar = new ExchangeCalendar('Quay', new \DateTimeZone('Atlantic/Faroe'), '09:30', '16:00', halfDays: ['2026-12-24' => '13:00'], extendedOpen: '08:00', extendedClose: '18:00');
        $session = $calendar->session('2026-10-15');
        self::assertNotNull($session);

        $around = $calendar->extended($session);
        self::assertSame(['2026-10-15T07:00:00Z', '2026-10-15T17:00:00Z'], [Instant::format($around->open), Instant::format($around->close)]);
        self::assertEquals($session, $this->calendar->extended($session), 'an exchange without such hours');
    }
}
