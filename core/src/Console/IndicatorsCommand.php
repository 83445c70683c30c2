<?php

declare(strict_types=1);

namespace Watchpost\Core\Console;

use Watchpost\Core\Indicators\Catalogue;
use Watchpost\Core\Indicators\Indicator;
use Watchpost\Core\Indicators\Inputs;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\BarReader;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

/** `watchpost indicators`: bars and the indicators asked for in, their values out, in the order asked. */
final class IndicatorsCommand extends Command
{
    /**
     * `watchpost indicators --list`: every name with its parameters and outputs.
     *
     * @param resource $out
     */
    public function list($out): int
    {
        self::write($out, ['indicators' => array_map(static fn (Indicator $one): array => $one->toArray(), array_values(Catalogue::all()))]);

        return 0;
    }

    protected function answer(Node $input): array
    {
        $keys = $input->object(['timeframe', 'bars', 'indicators']);
        $timeFrame = TimeFrame::from($keys['timeframe']->choice(array_column(TimeFrame::cases(), 'value')));
        $grid = new PriceGrid(PriceGrid::MAX_DECIMALS);
        $inputs = Inputs::of((new BarReader($grid, $timeFrame, new SessionBook()))->read($keys['bars']), $grid);

        return ['indicators' => array_map(static fn (Node $asked): array => self::one($asked, $inputs), $keys['indicators']->list())];
    }

    /**
     * @return array<array-key, mixed>
     *
     * @throws InvalidInput on an unknown name or a parameter that does not fit
     */
    private static function one(Node $asked, Inputs $inputs): array
    {
        $all = Catalogue::all();
        $indicator = $all[$asked->key('name')->choice(array_keys($all))];
        $keys = $asked->object(['name'], array_map(static fn ($parameter): string => $parameter->name, $indicator->parameters));
        $values = [];
        foreach ($indicator->parameters as $parameter) {
            if (isset($keys[$parameter->name])) {
                $values[$parameter->name] = $parameter->read($keys[$parameter->name]);
            }
        }

        return $indicator->compute($inputs, $values);
    }
}
