<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Watchpost\Core\Market\FundTerms;
use Watchpost\Core\Market\Instrument as ListedInstrument;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\PriceGrid;

/**
 * @property int            $id
 * @property string         $symbol
 * @property string         $name
 * @property InstrumentKind $kind
 * @property int            $decimals
 * @property int            $tick         in units
 * @property string         $currency
 * @property string         $group
 * @property string         $exchange     code; empty for the home exchange
 * @property string         $sector
 * @property int            $lot
 * @property string         $point_value
 * @property int|null       $pip          in units
 * @property string|null    $benchmark    symbol
 * @property string|null    $listed_on
 * @property string|null    $tracks       symbol of what a fund follows
 * @property int|null       $multiple     of a fund
 * @property string|null    $series       symbol of the series that a contract belongs to
 * @property string|null    $last_session of a contract
 * @property list<string>   $labels       special risks
 */
class Instrument extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => InstrumentKind::class, 'labels' => 'array'];
    }

    /** Lists an instrument of an exchange. */
    public static function list(ListedInstrument $listed): self
    {
        return self::query()->create(['symbol' => $listed->symbol, ...self::attributesOf($listed)])->refresh();
    }

    /** @return array<string, mixed> all columns but the symbol */
    public static function attributesOf(ListedInstrument $listed): array
    {
        return [
            'name' => $listed->name,
            'kind' => $listed->kind,
            'decimals' => $listed->grid->decimals,
            'tick' => $listed->grid->tick,
            'currency' => $listed->currency,
            'group' => $listed->group,
            'exchange' => $listed->exchange,
            'sector' => $listed->sector,
            'lot' => $listed->lot,
            'point_value' => $listed->pointValue,
            'pip' => $listed->pip,
            'benchmark' => $listed->benchmark,
            'listed_on' => $listed->listedOn,
            'tracks' => $listed->fund?->tracks,
            'multiple' => $listed->fund?->multiple,
            'series' => $listed->contract?->series,
            'last_session' => $listed->contract?->lastSession,
            'labels' => $listed->labels,
        ];
    }

    public function grid(): PriceGrid
    {
        return new PriceGrid($this->decimals, $this->tick);
    }

    /** Whether it can be bought and sold; an index, a plain series and a continuous series are only watched. */
    public function isTraded(): bool
    {
        return $this->kind->isTraded() && ! $this->isContinuous();
    }

    public function isContinuous(): bool
    {
        return $this->kind === InstrumentKind::Future && $this->series === null;
    }

    public function fundTerms(): ?FundTerms
    {
        return $this->multiple === null ? null : new FundTerms($this->tracks ?? '', $this->multiple);
    }
}
