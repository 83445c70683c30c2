<?php

declare(strict_types=1);

namespace App\Import;

/**
 * Reads dates and times as files write them. What does not fit the format to the letter is refused; a time on the hour
 * is worked out once, since files hold many bars of the same hour.
 */
final class DateReader
{
    /** Format: how it looks. A date alone, or with the time. */
    public const FORMATS = [
        'Y-m-d' => '2026-10-14',
        'Y-m-d H:i' => '2026-10-14 09:30',
        'Y-m-d H:i:s' => '2026-10-14 09:30:00',
        'Y-m-d\TH:i:s\Z' => '2026-10-14T08:30:00Z (UTC)',
        'Y-m-d\TH:i:sP' => '2026-10-14T09:30:00+01:00',
        'Ymd' => '20261014',
        'Ymd H:i' => '20261014 09:30',
        'd.m.Y' => '14.10.2026',
        'd.m.Y H:i' => '14.10.2026 09:30',
        'd/m/Y' => '14/10/2026',
        'd/m/Y H:i' => '14/10/2026 09:30',
        'm/d/Y' => '10/14/2026',
        'm/d/Y H:i' => '10/14/2026 09:30',
        'U' => 'seconds since 1970',
    ];

    private readonly \DateTimeZone $zone;

    /** @var array<string, int|null> moment by everything before the minutes */
    private array $hours = [];

    /** @var array<string, string|null> date by its text */
    private array $dates = [];

    /** @param string $format a key of FORMATS */
    public function __construct(private readonly string $format, string $zone)
    {
        $this->zone = new \DateTimeZone($this->format === 'Y-m-d\TH:i:s\Z' || $this->format === 'U' ? 'UTC' : $zone);
    }

    public function hasTime(): bool
    {
        return str_contains($this->format, 'H') || $this->format === 'U';
    }

    /** The date of a text, "YYYY-MM-DD"; null when it does not fit. */
    public function date(string $text): ?string
    {
        return $this->dates[$text] ??= $this->parse($text)?->format('Y-m-d');
    }

    /** The moment of a text; null when it does not fit. */
    public function moment(string $text): ?int
    {
        if (preg_match('/^(.*\d[T ]\d\d:)(\d\d)(:00)?$/D', $text, $parts) !== 1 || $parts[2] > '59') {
            return $this->parse($text)?->getTimestamp();
        }
        // a whole hour never holds a change of the clock
        $hour = array_key_exists($parts[1], $this->hours) ? $this->hours[$parts[1]] : $this->hours[$parts[1]] = $this->parse($parts[1].'00'.($parts[3] ?? ''))?->getTimestamp();

        return $hour === null ? null : $hour + 60 * (int) $parts[2];
    }

    private function parse(string $text): ?\DateTimeImmutable
    {
        $moment = \DateTimeImmutable::createFromFormat('!'.$this->format, $text, $this->zone);
        $exact = $moment !== false && $moment->format($this->format) === $text;

        return $exact ? $moment : null;
    }
}
