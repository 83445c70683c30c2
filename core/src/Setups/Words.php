<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** The words of a setup's sentence: its prices, its direction, its bars, its times. Prices are the side's real ones. */
final readonly class Words
{
    public function __construct(public Side $side, private PriceGrid $grid, private \DateTimeZone $zone)
    {
    }

    public function price(int $units): string
    {
        return $this->grid->format($units);
    }

    public function priceWithin(int $price, int $within): string
    {
        return $within > 0 ? "{$this->price($price)} or within {$this->price($within)} of it" : $this->price($price);
    }

    public function percent(?BigDecimal $value): string
    {
        return $value === null ? '' : str_replace('-', '−', (string) $value->stripTrailingZeros()).' %';
    }

    public function number(BigDecimal $value): string
    {
        return (string) $value->stripTrailingZeros();
    }

    public function falls(): string
    {
        return $this->long() ? 'falls' : 'rises';
    }

    public function rises(): string
    {
        return $this->long() ? 'rises' : 'falls';
    }

    public function higher(): string
    {
        return $this->long() ? 'higher' : 'lower';
    }

    public function lower(): string
    {
        return $this->long() ? 'lower' : 'higher';
    }

    public function above(): string
    {
        return $this->long() ? 'above' : 'below';
    }

    public function below(): string
    {
        return $this->long() ? 'below' : 'above';
    }

    /** "a daily close", "2 weekly closes in a row" */
    public function closes(CloseRule $rule): string
    {
        $kind = $this->closing($rule->timeFrame);

        return $rule->times === 1 ? ($rule->timeFrame === TimeFrame::Hour ? 'an' : 'a')." {$kind} close" : "{$rule->times} {$kind} closes in a row";
    }

    /** "5-minute bar", "week" */
    public function bar(TimeFrame $timeFrame): string
    {
        return match ($timeFrame) {
            TimeFrame::FiveMinutes => '5-minute bar',
            TimeFrame::ThirtyMinutes => '30-minute bar',
            TimeFrame::Hour => '1-hour bar',
            TimeFrame::FourHours => '4-hour bar',
            TimeFrame::Day => 'session',
            TimeFrame::Week => 'week',
            TimeFrame::Month => 'month',
            TimeFrame::Quarter => 'quarter',
        };
    }

    public function closing(TimeFrame $timeFrame): string
    {
        return match ($timeFrame) {
            TimeFrame::FiveMinutes => '5-minute',
            TimeFrame::ThirtyMinutes => '30-minute',
            TimeFrame::Hour => 'hourly',
            TimeFrame::FourHours => '4-hour',
            TimeFrame::Day => 'daily',
            TimeFrame::Week => 'weekly',
            TimeFrame::Month => 'monthly',
            TimeFrame::Quarter => 'quarterly',
        };
    }

    /** "no fill beyond 61.50": null when there is no such price. */
    public function worst(?int $price): ?string
    {
        return $price === null ? null : "no fill {$this->above()} {$this->price($price)}";
    }

    /** "half", "a quarter", "30 %" */
    public function share(BigDecimal $share): string
    {
        return match ((string) $share->stripTrailingZeros()) {
            '0.5' => 'half',
            '0.25' => 'a quarter',
            '0.75' => 'three quarters',
            '0.2' => 'a fifth',
            default => $share->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP).' %',
        };
    }

    public function moment(int $moment): string
    {
        $when = (new \DateTimeImmutable('@'.$moment))->setTimezone($this->zone);

        return $when->format('H:i').' on '.$when->format('l j F');
    }

    public function date(string $date): string
    {
        return (new \DateTimeImmutable($date))->format('l j F');
    }

    /** "1 session", "5 sessions" */
    public function sessions(int $count): string
    {
        return $count.($count === 1 ? ' session' : ' sessions');
    }

    /** "1st", "2nd", "15th" */
    public function nth(int $number): string
    {
        $ending = match (true) {
            in_array($number % 100, [11, 12, 13], true) => 'th',
            default => ['th', 'st', 'nd', 'rd'][$number % 10] ?? 'th',
        };

        return $number.$ending;
    }

    private function long(): bool
    {
        return $this->side === Side::Long;
    }
}
