<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\AuthorSetting;
use App\Models\User;

/** The account that sizes are told for, and what the author asks of a setup. */
final readonly class ModelAccount
{
    public const NAME = 'account';

    /**
     * @param string $value       in $currency
     * @param string $riskPercent of the account that a setup may lose at its stop
     * @param string $leastReward R that all targets together should bring
     * @param string $noiseAtr    distance of the stop from the entry, in ATR, below which it lies in the noise
     * @param string $volumeShare percent of a usual session's volume above which a size is large
     */
    public function __construct(
        public string $value = '100000',
        public string $currency = 'QUD',
        public string $riskPercent = '0.5',
        public string $leastReward = '1.5',
        public string $noiseAtr = '0.5',
        public string $volumeShare = '2',
    ) {
    }

    public static function of(User $author): self
    {
        $kept = AuthorSetting::query()->where(['author_id' => $author->id, 'name' => self::NAME])->first();
        /** @var array{value: string, currency: string, riskPercent: string, leastReward: string, noiseAtr: string, volumeShare: string}|null $value */
        $value = $kept?->value;

        return $value === null ? new self() : new self(...$value);
    }
}
