<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\BarCorrection;
use App\Models\Instrument;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use Watchpost\Core\Market\TimeFrame;

/** Which bars published setups were judged on, and which of these were told otherwise later. */
final class JudgedBars
{
    /** @var array<int, list<array{TimeFrame, int, int}>> time frame, first and last start, by instrument */
    private array $spans = [];

    public function __construct(private readonly EditionReader $editions)
    {
    }

    public function wereJudgedOn(Instrument $instrument, TimeFrame $timeFrame, int $start): bool
    {
        foreach ($this->spans[$instrument->id] ??= $this->spansOf($instrument) as [$frame, $from, $to]) {
            if ($frame === $timeFrame && $start >= $from && $start <= $to) {
                return true;
            }
        }

        return false;
    }

    /** @return list<BarCorrection> of bars that a setup was judged on, with the figures that came later */
    public function correctionsOf(PublishedSetup $published, TimeFrame $judgedOn): array
    {
        $last = $published->outcome?->run['last_bar_start'] ?? null;

        return $last === null ? [] : array_values(BarCorrection::query()
            ->with('instrument')
            ->where('instrument_id', $published->instrument_id)
            ->where('timeframe', $judgedOn->value)
            ->where('held_back', true)
            ->whereBetween('starts_at', [$published->edition->published_at, $last])
            ->orderBy('starts_at')
            ->get()
            ->all());
    }

    /** @return list<array{TimeFrame, int, int}> */
    private function spansOf(Instrument $instrument): array
    {
        $spans = [];
        foreach (PublishedSetup::query()->with(['edition', 'outcome'])->where('instrument_id', $instrument->id)->get() as $published) {
            $last = $published->outcome?->run['last_bar_start'] ?? null;
            if ($last !== null) {
                $spans[] = [TimeFrame::from($this->editions->document($published->edition)['judged_on']), $published->edition->published_at, $last];
            }
        }

        return $spans;
    }
}
