<?php

declare(strict_types=1);

namespace App\Import;

use App\Clock\MarketClock;
use App\Market\BarStore;
use App\Market\Calendars;
use App\Models\BarCorrection;
use App\Models\Instrument;
use App\Record\JudgedBars;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\TimeFrame;

/**
 * Bars of days and of five minutes.
 */
final class BarRows implements Rows
{
    /** @use KeepsRows<BarRow> */
    use KeepsRows;

    private const FRAMES = ['5m' => TimeFrame::FiveMinutes, '1d' => TimeFrame::Day];
    private const FINE_SECONDS = 300;

    private DateReader $dates;

    /** @var array<string, Instrument|null> by symbol */
    private array $instruments = [];

    /** @var array<string, Session|null> by exchange and date */
    private array $sessions = [];

    /** @var array<string, array{Session, Session}> the session met last and the hours around it, by exchange */
    private array $running = [];

    /** @var array<string, array<int, int>> line by start, by symbol and time frame */
    private array $seen = [];

    /** @var array<string, BarRow> the last one by symbol and time frame */
    private array $last = [];

    public function __construct(
        private readonly Mapping $mapping,
        private readonly ConnectionInterface $db,
        private readonly BarStore $store,
        private readonly Calendars $calendars,
        private readonly JudgedBars $judged,
        private readonly MarketClock $clock,
    ) {
        $this->dates = new DateReader($mapping->dates, $mapping->zone);
    }

    private function read(Line $line, int $number): BarRow
    {
        $instrument = $this->instrument($line);
        $timeFrame = $this->timeFrame($line);
        $grid = $instrument->grid();
        [$open, $high, $low, $close] = array_map(fn (string $field): int => $this->price($line, $field, $grid), ['open', 'high', 'low', 'close']);
        if ($high < $low) {
            throw new LineFault('high', 'the high is below the low');
        }
        foreach (['open' => $open, 'close' => $close] as $field => $price) {
            if ($price > $high || $price < $low) {
                throw new LineFault($field, "the {$field} is outside the range of the bar");
            }
        }
        [$start, $end, $session, $extended] = $timeFrame === TimeFrame::Day ? $this->day($line, $instrument) : $this->fine($line, $instrument);
        $row = new BarRow($instrument, $timeFrame, new Bar($start, $end, $session, $open, $high, $low, $close, $line->whole('volume', 0, PHP_INT_MAX, 0)), $extended);
        $this->compare($row, $line, $number);

        return $row;
    }

    /** @return array<string, string> */
    private function show(object $row): array
    {
        $format = $row->instrument->grid()->format(...);

        return [
            'symbol' => $row->instrument->symbol,
            'bar' => $row->timeFrame->value,
            'session' => $row->bar->session,
            'starts (UTC)' => gmdate('Y-m-d H:i', $row->bar->start).($row->extended ? ', extended hours' : ''),
            'open' => $format($row->bar->open),
            'high' => $format($row->bar->high),
            'low' => $format($row->bar->low),
            'close' => $format($row->bar->close),
            'volume' => (string) $row->bar->volume,
        ];
    }

    private function writeAll(array $rows, Tally $tally): void
    {
        $groups = [];
        foreach ($rows as $row) {
            $groups[$row->instrument->id.' '.$row->timeFrame->value.' '.(int) $row->extended][] = $row;
        }
        foreach ($groups as $group) {
            $this->writeGroup($group, $tally);
        }
    }

    /** @param non-empty-list<BarRow> $rows of one instrument and time frame */
    private function writeGroup(array $rows, Tally $tally): void
    {
        $first = $rows[0];
        $stored = $this->stored($rows);
        $new = [];
        foreach ($rows as $row) {
            $was = $stored[$row->bar->start] ?? null;
            $is = [$row->bar->open, $row->bar->high, $row->bar->low, $row->bar->close, $row->bar->volume];
            if ($was === null) {
                $new[] = $row->bar;
            } elseif ($was === $is) {
                ++$tally->unchanged;
            } else {
                $this->correct($row, $was, $is, $tally);
            }
        }
        $tally->added += $this->store->add($first->instrument->id, $first->timeFrame, $new, $first->extended);
    }

    /**
     * @param non-empty-list<BarRow> $rows
     *
     * @return array<int, array{int, int, int, int, int}> figures by start
     */
    private function stored(array $rows): array
    {
        $starts = array_map(static fn (BarRow $row): int => $row->bar->start, $rows);
        $stored = [];
        $query = $this->db->table('bars')->where('instrument_id', $rows[0]->instrument->id)->where('timeframe', $rows[0]->timeFrame->value)->whereBetween('starts_at', [min($starts), max($starts)]);
        foreach ($query->get(['starts_at', 'open', 'high', 'low', 'close', 'volume']) as $bar) {
            /** @var object{starts_at: int, open: int, high: int, low: int, close: int, volume: int} $bar */
            $stored[$bar->starts_at] = [$bar->open, $bar->high, $bar->low, $bar->close, $bar->volume];
        }

        return $stored;
    }

    /**
     * @param array{int, int, int, int, int} $was
     * @param array{int, int, int, int, int} $is
     */
    private function correct(BarRow $row, array $was, array $is, Tally $tally): void
    {
        $key = ['instrument_id' => $row->instrument->id, 'timeframe' => $row->timeFrame->value, 'starts_at' => $row->bar->start];
        $held = $this->judged->wereJudgedOn($row->instrument, $row->timeFrame, $row->bar->start);
        $known = BarCorrection::query()->where($key)->where('held_back', true)->latest('id')->first();
        if ($held && $known?->is === $is) {
            ++$tally->unchanged;

            return;
        }
        BarCorrection::query()->create([
            ...$key,
            'import_id' => $tally->importId,
            'session' => $row->bar->session,
            'was' => $was,
            'is' => $is,
            'held_back' => $held,
            'noticed_at' => $this->clock->moment(),
        ]);
        if ($held) {
            ++$tally->heldBack;

            return;
        }
        ++$tally->corrected;
        $this->db->table('bars')->where($key)->update(array_combine(['open', 'high', 'low', 'close', 'volume'], $is));
    }

    private function instrument(Line $line): Instrument
    {
        $symbol = $this->mapping->has('symbol') ? $line->needed('symbol') : $this->mapping->symbol;
        $known = $this->instruments[$symbol] ??= Instrument::query()->where('symbol', $symbol)->first();

        return $known ?? throw new LineFault('symbol', "there is no instrument “{$symbol}”: import it first");
    }

    private function timeFrame(Line $line): TimeFrame
    {
        $text = $this->mapping->has('timeframe') ? $line->needed('timeframe') : $this->mapping->timeFrame;

        return self::FRAMES[$text] ?? throw new LineFault('timeframe', "“{$text}” is neither 5m nor 1d; larger bars are built from these");
    }

    private function price(Line $line, string $field, PriceGrid $grid): int
    {
        $text = $line->needed($field);
        $plain = $this->mapping->decimal === ',' ? str_replace(',', '.', $text) : $text;
        $units = self::units($plain, $grid->decimals);
        if ($units === null) {
            throw new LineFault($field, "“{$text}” is no price with at most {$grid->decimals} decimals");
        }

        return $units > 0 ? $units : throw new LineFault($field, 'a price must be above 0');
    }

    /** The units of a plain decimal, without the detour that a price of any size would need. */
    private static function units(string $text, int $decimals): ?int
    {
        [$whole, $part] = explode('.', $text, 2) + [1 => ''];
        $part = rtrim($part, '0');
        if ($whole === '' || ! ctype_digit($whole) || strlen($whole) > 10 || strlen($part) > $decimals || ($part !== '' && ! ctype_digit($part))) {
            return null;
        }

        return (int) ($whole.str_pad($part, $decimals, '0'));
    }

    /** @return array{int, int, string, bool} start, end, session, whether outside of it */
    private function day(Line $line, Instrument $instrument): array
    {
        $text = $line->dateText();
        $date = $this->dates->date($text) ?? throw new LineFault('date', "“{$text}” is no date of the form ".DateReader::FORMATS[$this->mapping->dates]);
        $calendar = $this->calendars->of($instrument);
        $session = $this->session($calendar, $date) ?? throw new LineFault('date', "{$calendar->name} has no session on {$date}");

        return [$session->open, $session->close, $date, false];
    }

    /** @return array{int, int, string, bool} */
    private function fine(Line $line, Instrument $instrument): array
    {
        $text = $line->dateText();
        $start = ($this->dates->hasTime() ? $this->dates->moment($text) : null) ?? throw new LineFault('date', "“{$text}” is no date with a time, as a bar of five minutes needs it");
        $calendar = $this->calendars->of($instrument);
        // most bars lie in the session of the bar before
        [$session, $around] = $this->running[$calendar->code] ?? [null, null];
        if ($session !== null && $around !== null && $start >= $around->open && $start < $around->close) {
            return $this->within($start, $session);
        }
        $date = $calendar->dateOf($start);
        foreach ([$date, ...($calendar->opensDayBefore ? [$calendar->dateOf($start + 86_400)] : [])] as $candidate) {
            $session = $this->session($calendar, $candidate);
            $around = $session === null ? null : $calendar->extended($session);
            if ($session !== null && $around !== null && $start >= $around->open && $start < $around->close) {
                $this->running[$calendar->code] = [$session, $around];

                return $this->within($start, $session);
            }
        }
        throw new LineFault('date', "{$calendar->name} is closed at {$text}");
    }

    /** @return array{int, int, string, bool} */
    private function within(int $start, Session $session): array
    {
        if (($start - $session->open) % self::FINE_SECONDS !== 0) {
            throw new LineFault('date', 'the bar does not start on a full five minutes of its session');
        }
        $outside = $start < $session->open || $start >= $session->close;

        return [$start, $outside ? $start + self::FINE_SECONDS : min($start + self::FINE_SECONDS, $session->close), $session->date, $outside];
    }

    private function session(ExchangeCalendar $calendar, string $date): ?Session
    {
        $key = $calendar->code.$date;
        if (! array_key_exists($key, $this->sessions)) {
            $this->sessions[$key] = $calendar->session($date);
        }

        return $this->sessions[$key];
    }

    /** Against the lines before: no bar twice, and a change that is told must be the one that is computed. */
    private function compare(BarRow $row, Line $line, int $number): void
    {
        $key = $row->instrument->symbol.' '.$row->timeFrame->value;
        $before = $this->seen[$key][$row->bar->start] ?? null;
        if ($before !== null) {
            throw new LineFault('date', "the bar stands on line {$before} already");
        }
        $this->seen[$key][$row->bar->start] = $number;
        $last = $this->last[$key] ?? null;
        $this->last[$key] = $row;
        $told = $line->text('change');
        if ($told === '' || $last === null) {
            return;
        }
        if ($last->bar->start > $row->bar->start) {
            throw new LineFault('change', 'a change can be checked only where the bars are in order of time');
        }
        $computed = $row->instrument->grid()->format($row->bar->close - $last->bar->close);
        if (abs((float) strtr($told, [',' => '.', '−' => '-']) - (float) $computed) > 1e-9) {
            throw new LineFault('change', "“{$told}” is told, but the closes differ by {$computed}");
        }
    }
}
