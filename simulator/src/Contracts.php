<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/** The futures contracts of the coast: one a quarter, ending on the third Wednesday of its last month. */
final readonly class Contracts
{
    private const ROLL_DAYS = 7;
    private const LISTED_MONTHS = 9;

    private function __construct(public string $code, public string $lastSession)
    {
    }

    /** The contract that ends in a month, by its year and month: "2612". */
    public static function of(int $year, int $month): self
    {
        $end = (new \DateTimeImmutable(sprintf('%04d-%02d-01', $year, $month)))->modify('third wednesday of this month');

        return new self($end->format('ym'), $end->format('Y-m-d'));
    }

    /** The contract that the series follows on a date: the next to end, until a week before it does. */
    public static function inFront(string $date): self
    {
        $year = (int) substr($date, 0, 4);
        $month = intdiv((int) substr($date, 5, 2) + 2, 3) * 3;
        $contract = self::of($year, $month);
        if ($date < $contract->rolledOn()) {
            return $contract;
        }

        return $month === 12 ? self::of($year + 1, 3) : self::of($year, $month + 3);
    }

    /** From this date on the series follows the next contract. */
    public function rolledOn(): string
    {
        return (new \DateTimeImmutable($this->lastSession))->modify('-'.self::ROLL_DAYS.' days')->format('Y-m-d');
    }

    public function listedOn(): string
    {
        return (new \DateTimeImmutable($this->lastSession))->modify('-'.self::LISTED_MONTHS.' months')->format('Y-m-d');
    }
}
