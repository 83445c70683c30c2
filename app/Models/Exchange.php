<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Watchpost\Core\Market\ExchangeCalendar;

/**
 * @property int                   $id
 * @property string                $code
 * @property string                $name
 * @property string                $zone
 * @property string                $open             local time
 * @property string                $close
 * @property bool                  $opens_day_before
 * @property list<int>             $weekdays
 * @property string|null           $extended_open
 * @property string|null           $extended_close
 * @property array<string, string> $holidays         name by date
 * @property array<string, string> $half_days        closing time by date
 */
class Exchange extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['opens_day_before' => 'boolean', 'weekdays' => 'array', 'holidays' => 'array', 'half_days' => 'array'];
    }

    public static function list(ExchangeCalendar $calendar): self
    {
        return self::query()->create([
            'code' => $calendar->code,
            'name' => $calendar->name,
            'zone' => $calendar->zone->getName(),
            'open' => $calendar->open,
            'close' => $calendar->close,
            'opens_day_before' => $calendar->opensDayBefore,
            'weekdays' => $calendar->weekdays,
            'extended_open' => $calendar->extendedOpen,
            'extended_close' => $calendar->extendedClose,
            'holidays' => $calendar->holidays,
            'half_days' => $calendar->halfDays,
        ]);
    }

    public function calendar(): ExchangeCalendar
    {
        return new ExchangeCalendar(
            $this->name,
            new \DateTimeZone($this->zone),
            $this->open,
            $this->close,
            $this->holidays,
            $this->half_days,
            $this->weekdays,
            $this->opens_day_before,
            $this->extended_open,
            $this->extended_close,
            $this->code,
        );
    }
}
