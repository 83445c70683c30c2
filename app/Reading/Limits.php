<?php

declare(strict_types=1);

namespace App\Reading;

use App\Models\AuthorSetting;
use App\Models\User;
use Watchpost\Core\Levels\Retirement;

/** The author's own limits: where a fact stands out, when a level is laid aside by itself, what is asked of a setup. */
final readonly class Limits
{
    public const NAME = 'limits';
    public const ACCOUNT_CURRENCY = 'QUD';

    /**
     * @param float $relativeVolume   volume against its average from which it stands out
     * @param float $stretchAtr       distance from an average, in ATR
     * @param float $deviations       distance from the mean of 20 closes, in standard deviations
     * @param int   $streak           closes in a row
     * @param int   $earningsSessions sessions to the next report
     * @param int   $turnover         floor of the money that changes hands in a usual session, in the instrument's currency
     * @param int   $brokenFor        sessions after which a broken level is laid aside
     * @param float $farAt            distance in ATR at which a level is laid aside
     * @param int   $farFor           sessions for which it has been as far as that
     * @param int   $accountValue     of the model account that sizes are told for, in the home currency
     * @param float $riskPercent      of the account that a setup may lose at its stop
     * @param float $leastReward      R that all targets together should bring
     * @param float $noiseAtr         distance of the stop from the entry, in ATR, below which it lies in the noise
     * @param float $volumeShare      percent of a usual session's volume above which a size is large
     * @param int   $sideShare        percent of a plan's candidates above which much hangs on one side
     * @param int   $groupMost        candidates of one group above which much hangs on it
     */
    public function __construct(
        public float $relativeVolume = 1.5,
        public float $stretchAtr = 3.0,
        public float $deviations = 2.0,
        public int $streak = 4,
        public int $earningsSessions = 10,
        public int $turnover = 1_000_000,
        public int $brokenFor = 40,
        public float $farAt = 15.0,
        public int $farFor = 20,
        public int $accountValue = 100_000,
        public float $riskPercent = 0.5,
        public float $leastReward = 1.5,
        public float $noiseAtr = 0.5,
        public float $volumeShare = 2.0,
        public int $sideShare = 80,
        public int $groupMost = 3,
    ) {
    }

    public static function of(User $author): self
    {
        $kept = AuthorSetting::query()->where(['author_id' => $author->id, 'name' => self::NAME])->first();
        /** @var array{relativeVolume: float|int, stretchAtr: float|int, deviations: float|int, streak: int, earningsSessions: int, turnover: int, brokenFor: int, farAt: float|int, farFor: int, accountValue?: int, riskPercent?: float|int, leastReward?: float|int, noiseAtr?: float|int, volumeShare?: float|int, sideShare?: int, groupMost?: int}|null $value */
        $value = $kept?->value;

        return $value === null ? new self() : new self(...$value);
    }

    /** The model account that sizes are told for. */
    public function account(): Account
    {
        return new Account($this->accountValue, $this->riskPercent);
    }

    public function retirement(): Retirement
    {
        return new Retirement($this->brokenFor, $this->farAt, $this->farFor);
    }
}
