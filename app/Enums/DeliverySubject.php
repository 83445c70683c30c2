<?php

declare(strict_types=1);

namespace App\Enums;

/** What is delivered. */
enum DeliverySubject: string
{
    case Edition = 'edition';
    case Update = 'update';
    case Alert = 'alert';
}
