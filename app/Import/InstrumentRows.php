<?php

declare(strict_types=1);

namespace App\Import;

use App\Market\Calendars;
use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\ContractTerms;
use Watchpost\Core\Market\FundTerms;
use Watchpost\Core\Market\Instrument as ListedInstrument;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\PriceGrid;

/**
 * Instruments: new ones are listed, known ones brought up to date.
 */
final class InstrumentRows implements Rows
{
    /** @use KeepsRows<InstrumentRow> */
    use KeepsRows;

    /** @var array<string, int> line by symbol */
    private array $seen = [];

    public function __construct(private readonly ConnectionInterface $db, private readonly Calendars $calendars)
    {
    }

    private function read(Line $line, int $number): InstrumentRow
    {
        $symbol = $line->needed('symbol');
        if (mb_strlen($symbol) > 24 || preg_match('/^\S+$/', $symbol) !== 1) {
            throw new LineFault('symbol', 'a symbol has at most 24 signs and no space');
        }
        if (isset($this->seen[$symbol])) {
            throw new LineFault('symbol', "{$symbol} stands on line {$this->seen[$symbol]} already");
        }
        $this->seen[$symbol] = $number;
        $known = Instrument::query()->where('symbol', $symbol)->first();
        $listed = $this->listed($symbol, $line);
        if ($known !== null && $known->decimals !== $listed->grid->decimals && $this->db->table('bars')->where('instrument_id', $known->id)->exists()) {
            throw new LineFault('decimals', "{$symbol} has bars with {$known->decimals} decimals, which stay");
        }

        return new InstrumentRow($listed, $known);
    }

    /** @return array<string, string> */
    private function show(object $row): array
    {
        return [
            'symbol' => $row->listed->symbol,
            'name' => $row->listed->name,
            'kind' => $row->listed->kind->label(),
            'decimals' => (string) $row->listed->grid->decimals,
            'tick' => $row->listed->grid->format($row->listed->grid->tick),
            'currency' => $row->listed->currency,
            'group' => $row->listed->group,
            'exchange' => $row->listed->exchange,
            'known' => $row->known === null ? 'new' : 'known',
        ];
    }

    private function writeAll(array $rows, Tally $tally): void
    {
        foreach ($rows as $row) {
            if ($row->known === null) {
                Instrument::list($row->listed);
                ++$tally->added;
                continue;
            }
            $row->known->fill(Instrument::attributesOf($row->listed));
            $row->known->isDirty() ? ++$tally->corrected : ++$tally->unchanged;
            $row->known->save();
        }
    }

    private function listed(string $symbol, Line $line): ListedInstrument
    {
        $kind = InstrumentKind::tryFrom(mb_strtolower($line->needed('kind'))) ?? throw new LineFault('kind', "“{$line->text('kind')}” is none of ".implode(', ', array_column(InstrumentKind::cases(), 'value')));
        $exchange = $line->text('exchange');
        if ($exchange !== '' && ! isset($this->calendars->all()[$exchange])) {
            throw new LineFault('exchange', "there is no exchange “{$exchange}”; known are ".implode(', ', array_keys($this->calendars->all())));
        }
        $grid = $this->grid($line);
        $multiple = $line->whole('multiple', -10, 10, $kind === InstrumentKind::Fund ? 1 : 0);
        $series = $line->text('series');

        return new ListedInstrument(
            $symbol,
            $line->needed('name'),
            $kind,
            $grid,
            $line->needed('currency'),
            $line->needed('group'),
            $exchange,
            $line->text('sector'),
            $line->whole('lot', 1, 1_000_000_000, 1),
            $this->pointValue($line),
            $this->pip($line, $grid),
            $line->text('benchmark') ?: null,
            $line->isoDate('listed_on'),
            $kind === InstrumentKind::Fund && $multiple !== 0 ? new FundTerms($line->text('tracks'), $multiple) : null,
            $series === '' ? null : new ContractTerms($series, $line->isoDate('last_session') ?? throw new LineFault('last_session', 'a contract needs its last session')),
            array_values(array_filter(array_map(trim(...), explode('|', $line->text('labels'))))),
        );
    }

    private function grid(Line $line): PriceGrid
    {
        $decimals = $line->whole('decimals', 0, PriceGrid::MAX_DECIMALS, 2);
        if ($line->text('tick') === '') {
            return new PriceGrid($decimals);
        }
        try {
            return PriceGrid::withTick($decimals, $line->text('tick'));
        } catch (\InvalidArgumentException) {
            throw new LineFault('tick', "“{$line->text('tick')}” is no tick above 0 with at most {$decimals} decimals");
        }
    }

    private function pointValue(Line $line): string
    {
        $text = $line->text('point_value');

        return match (true) {
            $text === '' => '1',
            preg_match('/^\d{1,9}(\.\d{1,6})?$/D', $text) === 1 && (float) $text > 0.0 => $text,
            default => throw new LineFault('point_value', "“{$text}” is no decimal above 0"),
        };
    }

    private function pip(Line $line, PriceGrid $grid): ?int
    {
        $text = $line->text('pip');
        $units = $text === '' ? null : $grid->units($text);

        return $text === '' || ($units !== null && $units > 0) ? $units : throw new LineFault('pip', "“{$text}” is no pip with at most {$grid->decimals} decimals");
    }
}
