<?php

declare(strict_types=1);

namespace App\Enums;

/** What a text of a plan is for; some an author may require of every edition. */
enum PartRole: string
{
    case Text = 'text';
    case Disclaimer = 'disclaimer';
    case Holdings = 'holdings';
    case Sponsorship = 'sponsorship';

    public function label(): string
    {
        return match ($this) {
            self::Text => 'Text',
            self::Disclaimer => 'Disclaimer',
            self::Holdings => 'What the author holds',
            self::Sponsorship => 'Sponsorship',
        };
    }
}
