<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Models\Delivery;

/** A way by which something reaches a reader. */
interface Channel
{
    /**
     * Sends it; what the receiver has already under the delivery's name, it takes once.
     *
     * @throws \RuntimeException when it did not arrive
     */
    public function send(Delivery $delivery, Message $message): void;
}
