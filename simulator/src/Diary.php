<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Fact;
use Watchpost\Core\Market\FactKind;
use Watchpost\Core\Market\MarketEvent;
use Watchpost\Core\Market\MarketEventKind;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionSide;
use Watchpost\Core\Market\Split;

/** What happens to the companies of the coast, and when: known to the story, told to others on its day. */
final class Diary
{
    private const EXCHANGE = 'Quay Exchange notices';
    private const COMPANY = 'company report';
    private const GAZETTE = 'Coast Gazette calendar';
    private const EARNINGS_JUMP = 0.042;
    private const OFFERING = ['MOSS.Q', '2026-09-22', -0.13];
    private const SPLITS = [['HEATH.Q', '2021-05-11', '2'], ['OAKL.Q', '2026-10-12', '3']];
    private const HALT = ['SILT.Q', '2026-10-08', '11:00', '12:30'];
    private const FIRST_YEAR = 2014;
    private const LAST_YEAR = 2028;

    private readonly ExchangeCalendar $calendar;

    /** @var array<string, list<array{string, SessionSide, string, float}>> earnings by symbol */
    private array $known = [];

    /** @var array<string, array<string, float>> jumps by symbol and session */
    private array $jumps = [];

    public function __construct(private readonly string $seed = 'diary')
    {
        $this->calendar = QuayExchange::calendar();
    }

    /** The log return over night that news brings to a session. */
    public function jump(string $symbol, string $date): float
    {
        $this->jumps[$symbol] ??= $this->jumpsOf($symbol);

        return $this->jumps[$symbol][$date] ?? 0.0;
    }

    /** The log return that news after the close brings to the evening of a session. */
    public function afterClose(string $symbol, string $date): float
    {
        foreach ($this->earnings($symbol) as [$day, $side, $reaction, $jump]) {
            if ($day === $date && $side === SessionSide::After) {
                return 0.8 * $jump;
            }
        }

        return $symbol === self::OFFERING[0] && $date === self::OFFERING[1] ? 0.8 * self::OFFERING[2] : 0.0;
    }

    /** @return list<Split> */
    public function splits(string $symbol): array
    {
        $splits = [];
        foreach (self::SPLITS as [$of, $session, $ratio]) {
            if ($of === $symbol) {
                $splits[] = Split::of($session, $ratio);
            }
        }

        return $splits;
    }

    /** How many of today's units one unit of a date has become. */
    public function unitsAhead(string $symbol, string $date): float
    {
        $units = 1.0;
        foreach (self::SPLITS as [$of, $session, $ratio]) {
            $units *= $of === $symbol && $date < $session ? (float) $ratio : 1.0;
        }

        return $units;
    }

    /** @return array{int, int}|null from when to when nothing was traded */
    public function halt(string $symbol, Session $session): ?array
    {
        [$of, $date, $from, $to] = self::HALT;
        if ($symbol !== $of || $session->date !== $date) {
            return null;
        }
        $moment = fn (string $time): int => (new \DateTimeImmutable("{$date} {$time}", $this->calendar->zone))->getTimestamp();

        return [$moment($from), $moment($to)];
    }

    /**
     * The events of a listing, past and to come.
     *
     * @return list<MarketEvent>
     */
    public function events(Listing $listing): array
    {
        $symbol = $listing->instrument->symbol;
        $event = static fn (string $date, MarketEventKind $kind, string $title, ?SessionSide $side = null, ?string $time = null): MarketEvent => new MarketEvent($date, $kind, $title, self::EXCHANGE, $side, $time, $symbol);
        $events = array_map(
            static fn (array $earnings): MarketEvent => new MarketEvent($earnings[0], MarketEventKind::Earnings, "Earnings of {$listing->instrument->name}", self::COMPANY, $earnings[1], null, $symbol),
            $this->earnings($symbol),
        );
        foreach ($this->splits($symbol) as $split) {
            $events[] = $event($split->session, MarketEventKind::Split, "Split {$split->label()}", SessionSide::Before);
        }
        if ($symbol === self::OFFERING[0]) {
            $events[] = $event(self::OFFERING[1], MarketEventKind::Offering, 'Offering of 9 million new shares', SessionSide::After);
        }
        if ($symbol === self::HALT[0]) {
            $events[] = $event(self::HALT[1], MarketEventKind::Halt, 'Trading halted until '.self::HALT[3], SessionSide::During, self::HALT[2]);
        }
        if ($listing->instrument->listedOn !== null && $listing->instrument->contract === null) {
            $events[] = $event($listing->instrument->listedOn, MarketEventKind::Listing, 'First session on the exchange');
        }
        if ($listing->instrument->contract !== null) {
            $events[] = $event($listing->instrument->contract->lastSession, MarketEventKind::ContractEnd, 'Last session of the contract', SessionSide::After);
        }

        return $events;
    }

    /**
     * The events of the whole coast.
     *
     * @return list<MarketEvent>
     */
    public function coast(): array
    {
        $events = [
            new MarketEvent('2026-10-21', MarketEventKind::Political, 'Budget of the coast before the council', self::GAZETTE, SessionSide::During, '14:00'),
            new MarketEvent('2026-11-03', MarketEventKind::Political, 'Election of the harbour council', self::GAZETTE),
        ];
        $monthly = [
            ['first friday of', MarketEventKind::Economic, 'Employment on the coast', '08:30', SessionSide::Before],
            ['second tuesday of', MarketEventKind::Economic, 'Coast price index', '08:30', SessionSide::Before],
            ['third tuesday of', MarketEventKind::Auction, 'Auction of ten-year harbour bonds', '11:00', SessionSide::During],
            ['last thursday of', MarketEventKind::CentralBank, 'Harbour Bank rate decision', '13:00', SessionSide::During],
        ];
        for ($month = new \DateTimeImmutable('2026-01-01'); $month->format('Y') < '2028'; $month = $month->modify('+1 month')) {
            foreach ($monthly as [$when, $kind, $title, $time, $side]) {
                $events[] = new MarketEvent($month->modify("{$when} this month")->format('Y-m-d'), $kind, $title, self::GAZETTE, $side, $time);
            }
        }

        return $events;
    }

    /**
     * What is known of a listing up to a date.
     *
     * @return list<Fact>
     */
    public function facts(Listing $listing, string $until): array
    {
        $symbol = $listing->instrument->symbol;
        $facts = [];
        // what the exchange counts, it counts twice a month
        $counted = substr($until, 0, 8).(substr($until, 8) >= '15' ? '15' : '01');
        if ($listing->spread > 0.0) {
            $facts[] = new Fact(FactKind::Spread, $counted, sprintf('%.1f', $listing->spread * 100), self::EXCHANGE);
        }
        $dice = new Dice($this->seed, $symbol, 'facts');
        $shares = (int) (round($listing->volume * $dice->between(180, 600), -4));
        $sales = round(20 + 400 * $dice->uniform() ** 2, 1);
        $perShare = $listing->price * $dice->between(0.006, 0.018);
        $earnings = array_values(array_filter($this->earnings($symbol), static fn (array $one): bool => $one[0] <= $until && $one[0] >= '2024'));
        if ($earnings === []) {
            return $facts;
        }
        foreach ($earnings as [$date, , , $jump]) {
            $sales *= 1 + 0.012 + 0.3 * $jump + 0.02 * $dice->normal();
            $perShare *= 1 + 0.015 + 0.9 * $jump + 0.04 * $dice->normal();
            $quarter = (new \DateTimeImmutable($date))->modify('first day of this month')->modify('-2 months');
            $of = $quarter->format('Y').'-Q'.intdiv((int) $quarter->format('n') + 2, 3);
            $facts[] = new Fact(FactKind::Sales, $date, sprintf('%.1f', $sales), self::COMPANY, $of);
            $facts[] = new Fact(FactKind::EarningsPerShare, $date, sprintf($listing->price < 1 ? '%.5f' : '%.3f', $perShare), self::COMPANY, $of);
        }
        $last = $earnings[count($earnings) - 1][0];
        $facts[] = new Fact(FactKind::SharesOutstanding, $last, (string) $shares, self::COMPANY);
        $facts[] = new Fact(FactKind::FreeFloat, $last, (string) (int) round($shares * $dice->between(0.35, 0.9), -3), self::COMPANY);
        $short = new Dice($this->seed, $symbol, 'short', $counted);
        $facts[] = new Fact(FactKind::SharesSoldShort, $counted, (string) (int) round($shares * 0.002 * exp(1.3 * $short->normal()), -2), self::EXCHANGE);

        return $facts;
    }

    /** @return array<string, float> by session */
    private function jumpsOf(string $symbol): array
    {
        $jumps = [];
        foreach ($this->earnings($symbol) as [, , $reaction, $jump]) {
            $jumps[$reaction] = $jump;
        }
        if ($symbol === self::OFFERING[0]) {
            $jumps[$this->next(self::OFFERING[1])] = self::OFFERING[2];
        }

        return $jumps;
    }

    /** @return list<array{string, SessionSide, string, float}> date, side, session of the reaction, jump */
    private function earnings(string $symbol): array
    {
        if (! isset(QuayExchange::SHARES[$symbol])) {
            return [];
        }

        return $this->known[$symbol] ??= $this->drawnEarnings($symbol);
    }

    /** @return list<array{string, SessionSide, string, float}> */
    private function drawnEarnings(string $symbol): array
    {
        $dice = new Dice($this->seed, $symbol, 'earnings');
        $day = 16 + (int) (26 * $dice->uniform());
        $side = $dice->uniform() < 0.6 ? SessionSide::After : SessionSide::Before;
        $earnings = [];
        for ($year = self::FIRST_YEAR; $year <= self::LAST_YEAR; ++$year) {
            foreach ([1, 4, 7, 10] as $month) {
                $date = $this->sessionFrom((new \DateTimeImmutable(sprintf('%04d-%02d-01', $year, $month)))->modify("+{$day} days")->format('Y-m-d'));
                $jump = self::EARNINGS_JUMP * (new Dice($this->seed, $symbol, 'earnings', $date))->normal();
                $earnings[] = [$date, $side, $side === SessionSide::After ? $this->next($date) : $date, $jump];
            }
        }

        return $earnings;
    }

    private function sessionFrom(string $date): string
    {
        return $this->calendar->countedFrom($date, 1)->date;
    }

    private function next(string $date): string
    {
        return $this->calendar->countedFrom($date, 2)->date;
    }
}
