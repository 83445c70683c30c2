<?php

declare(strict_types=1);

namespace App\Data;

use App\Reading\Limits;

/** The author's own limits: where a fact stands out, and when a level is laid aside by itself. */
final readonly class LimitsData
{
    public function __construct(
        public float $relativeVolume,
        public float $stretchAtr,
        public float $deviations,
        public int $streak,
        public int $earningsSessions,
        public int $turnover,
        public int $brokenFor,
        public float $farAt,
        public int $farFor,
    ) {
    }

    public static function of(Limits $limits): self
    {
        return new self($limits->relativeVolume, $limits->stretchAtr, $limits->deviations, $limits->streak, $limits->earningsSessions, $limits->turnover, $limits->brokenFor, $limits->farAt, $limits->farFor);
    }
}
