<?php

declare(strict_types=1);

namespace App\Enums;

enum DeliveryChannel: string
{
    case Mail = 'mail';
    case Webhook = 'webhook';
}
