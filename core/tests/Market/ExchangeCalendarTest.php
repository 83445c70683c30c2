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
}
