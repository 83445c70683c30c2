<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Watchpost\Core\Market\Instrument as ListedInstrument;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\PriceGrid;

/**
 * @property int            $id
 * @property string         $symbol
 * @property string         $name
 * @property InstrumentKind $kind
 * @property int            $decimals
 * @property int            $tick     in units
 * @property string         $currency
 * @property string         $group
 */
class Instrument extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => InstrumentKind::class];
    }

    /** Lists an instrument of an exchange. */
    public static function list(ListedInstrument $listed): self
    {
        return self::query()->create([
            'symbol' => $listed->symbol,
            'name' => $listed->name,
            'kind' => $listed->kind,
            'decimals' => $listed->grid->decimals,
            'tick' => $listed->grid->tick,
            'currency' => $listed->currency,
            'group' => $listed->group,
        ]);
    }

    public function grid(): PriceGrid
    {
        return new PriceGrid($this->decimals, $this->tick);
    }
}
