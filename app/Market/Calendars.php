<?php

declare(strict_types=1);

namespace App\Market;

use App\Models\Exchange;
use App\Models\Instrument;
use Watchpost\Core\Market\ExchangeCalendar;

/** The calendars of all exchanges; each instrument keeps the sessions of its own. */
final class Calendars
{
    /** @var array<string, ExchangeCalendar>|null by code */
    private ?array $calendars = null;

    public function __construct(private readonly string $home)
    {
    }

    /** The calendar that plans and the day line follow. */
    public function home(): ExchangeCalendar
    {
        return $this->all()[$this->home] ?? throw new \RuntimeException("There is no exchange {$this->home} yet: run bin/demo or php artisan watchpost:demo.");
    }

    public function of(Instrument $instrument): ExchangeCalendar
    {
        return $this->all()[$instrument->exchange] ?? $this->home();
    }

    /** Reads them anew when they are asked for next. */
    public function forget(): void
    {
        $this->calendars = null;
    }

    /** @return array<string, ExchangeCalendar> by code */
    public function all(): array
    {
        return $this->calendars ??= Exchange::query()->orderBy('id')->get()->mapWithKeys(static fn (Exchange $exchange): array => [$exchange->code => $exchange->calendar()])->all();
    }
}
