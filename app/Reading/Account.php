<?php

declare(strict_types=1);

namespace App\Reading;

use App\Models\AuthorSetting;
use App\Models\User;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** An account that sizes are told for: the author's model account, or a reader's own. In the home currency. */
final readonly class Account
{
    public const NAME = 'account';

    /**
     * @param int   $value       of all of it
     * @param float $riskPercent of it that a setup may lose at its stop
     */
    public function __construct(public int $value, public float $riskPercent)
    {
    }

    /** Null for a reader who has not told theirs. */
    public static function of(User $user): ?self
    {
        $kept = AuthorSetting::query()->where(['author_id' => $user->id, 'name' => self::NAME])->first();
        /** @var array{value: int, riskPercent: float|int}|null $value */
        $value = $kept?->value;

        return $value === null ? null : new self($value['value'], (float) $value['riskPercent']);
    }

    /** What a setup may lose at its stop. */
    public function mayLose(): BigDecimal
    {
        return BigDecimal::of($this->value)->multipliedBy(BigDecimal::of((string) $this->riskPercent))->dividedBy(100, 6, RoundingMode::DOWN);
    }
}
