<?php

declare(strict_types=1);

namespace App\Enums;

/** By what the candidates of a plan are brought together. */
enum CandidateOrder: string
{
    case Theme = 'theme';
    case Group = 'group';
    case Kind = 'kind';

    public function label(): string
    {
        return match ($this) {
            self::Theme => 'theme',
            self::Group => 'industry',
            self::Kind => 'kind of setup',
        };
    }
}
