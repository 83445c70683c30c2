<?php

declare(strict_types=1);

namespace App\Enums;

enum Role: string
{
    case Author = 'author';
    case Assistant = 'assistant';
    case Subscriber = 'subscriber';
}
