<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\TimeLabel;
use App\Data\BarRowData;
use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Models\Instrument;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Market\TimeFrame;

/** The last bars of a time frame as a table. */
final readonly class BarTable
{
    private const ROWS = 250;

    public function __construct(private BarRepository $bars, private ChartBuilder $charts, private TimeLabel $times)
    {
    }

    /** @return list<BarRowData> the latest first */
    public function rows(Instrument $instrument, TimeFrame $frame): array
    {
        $series = $this->bars->series($instrument, $frame, self::ROWS + 1);
        $price = $series->grid->format(...);
        $rows = [];
        for ($i = $series->count() - 1; $i >= 0 && count($rows) < self::ROWS; --$i) {
            $rows[] = new BarRowData(
                $frame->seconds() === null ? $this->times->shortDate($series->session[$i]) : $this->times->short($series->start[$i]),
                $price($series->open[$i]),
                $price($series->high[$i]),
                $price($series->low[$i]),
                $price($series->close[$i]),
                $i === 0 ? null : Distance::from($series->close[$i], $series->close[$i - 1], null)->percent,
                $series->volume[$i],
                $i === $series->count() - 1 && $this->charts->lastIsUnfinished($instrument, $series),
            );
        }

        return $rows;
    }
}
