<?php

declare(strict_types=1);

namespace App\Data;

use App\Reading\Account;
use App\Reading\Limits;

/** The account of a reader that sizes are told for. */
final readonly class AccountData
{
    public function __construct(public int $value, public float $riskPercent, public string $currency)
    {
    }

    public static function of(Account $account): self
    {
        return new self($account->value, $account->riskPercent, Limits::ACCOUNT_CURRENCY);
    }
}
