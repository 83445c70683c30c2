<?php

declare(strict_types=1);

namespace App\Data;

use App\Reading\Limits;

/** The author's own limits: where a fact stands out, when a level is laid aside by itself, what is asked of a setup. */
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
        public int $accountValue,
        public float $riskPercent,
        public float $leastReward,
        public float $noiseAtr,
        public float $volumeShare,
        public int $sideShare,
        public int $groupMost,
    ) {
    }

    public static function of(Limits $limits): self
    {
        return new self($limits->relativeVolume, $limits->stretchAtr, $limits->deviations, $limits->streak, $limits->earningsSessions, $limits->turnover, $limits->brokenFor, $limits->farAt, $limits->farFor, $limits->accountValue, $limits->riskPercent, $limits->leastReward, $limits->noiseAtr, $limits->volumeShare, $limits->sideShare, $limits->groupMost);
    }
}
