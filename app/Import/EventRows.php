<?php

declare(strict_types=1);

namespace App\Import;

use App\Market\ReferenceStore;
use App\Models\Instrument;
use App\Models\MarketEvent as StoredEvent;
use Watchpost\Core\Market\MarketEvent;
use Watchpost\Core\Market\MarketEventKind;
use Watchpost\Core\Market\SessionSide;

/**
 * Dated events, of an instrument or of the whole market.
 */
final class EventRows implements Rows
{
    /** @use KeepsRows<MarketEvent> */
    use KeepsRows;

    private DateReader $dates;

    /** @var array<string, int>|null id by symbol */
    private ?array $ids = null;

    /** @var array<string, int> line by key */
    private array $seen = [];

    public function __construct(Mapping $mapping, private readonly ReferenceStore $store)
    {
        $this->dates = new DateReader($mapping->dates, $mapping->zone);
    }

    private function read(Line $line, int $number): MarketEvent
    {
        $text = $line->dateText();
        $symbol = $line->text('symbol') ?: null;
        if ($symbol !== null && ! isset($this->ids()[$symbol])) {
            throw new LineFault('symbol', "there is no instrument “{$symbol}”: import it first");
        }
        $event = new MarketEvent(
            $this->dates->date($text) ?? throw new LineFault('date', "“{$text}” is no date of the form that was chosen"),
            $this->kind($line),
            mb_substr($line->needed('title'), 0, 200),
            $line->text('source') ?: 'imported file',
            $this->side($line),
            $this->time($line),
            $symbol,
        );
        $key = ReferenceStore::key($event);
        if (isset($this->seen[$key])) {
            throw new LineFault('title', "the event stands on line {$this->seen[$key]} already");
        }
        $this->seen[$key] = $number;

        return $event;
    }

    /** @return array<string, string> */
    private function show(object $row): array
    {
        return [
            'date' => $row->date,
            'time' => $row->time ?? '',
            'side' => $row->side?->label() ?? '',
            'kind' => $row->kind->label(),
            'title' => $row->title,
            'symbol' => $row->symbol ?? 'whole market',
            'source' => $row->source,
        ];
    }

    private function writeAll(array $rows, Tally $tally): void
    {
        $new = [];
        foreach ($rows as $row) {
            $stored = StoredEvent::query()->where('key', ReferenceStore::key($row))->first();
            if ($stored === null) {
                $new[] = $row;
                continue;
            }
            $stored->fill(['side' => $row->side ?? $stored->side, 'time' => $row->time ?? $stored->time, 'source' => $row->source]);
            $stored->isDirty(['side', 'time']) ? ++$tally->corrected : ++$tally->unchanged;
            if ($stored->isDirty(['side', 'time'])) {
                $stored->save();
            }
        }
        $tally->added += $this->store->events($new, static fn (): int => 0, $this->ids());
    }

    private function kind(Line $line): MarketEventKind
    {
        $text = str_replace([' ', '-'], '_', mb_strtolower($line->needed('kind')));

        return MarketEventKind::tryFrom($text) ?? throw new LineFault('kind', "“{$line->text('kind')}” is none of ".implode(', ', array_column(MarketEventKind::cases(), 'value')));
    }

    private function side(Line $line): ?SessionSide
    {
        $text = mb_strtolower($line->text('side'));

        return $text === '' ? null : SessionSide::tryFrom($text) ?? throw new LineFault('side', "“{$text}” is none of before, during, after");
    }

    private function time(Line $line): ?string
    {
        $text = $line->text('time');

        return $text === '' || preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $text) === 1 ? ($text ?: null) : throw new LineFault('time', "“{$text}” is no time of the form 13:00");
    }

    /** @return array<string, int> */
    private function ids(): array
    {
        /** @var array<string, int> */
        return $this->ids ??= Instrument::query()->pluck('id', 'symbol')->all();
    }
}
