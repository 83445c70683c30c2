<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Models\MailboxMessage;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\MessageConverter;

/** Stands in for a mail server: keeps mails on this machine, where they can be read at /mailbox. What it has, it takes once. */
final class MailboxTransport extends AbstractTransport
{
    protected function doSend(SentMessage $message): void
    {
        $original = $message->getOriginalMessage();
        if (! $original instanceof Message) {
            throw new TransportException('A raw message cannot be kept: it has no parts.');
        }
        $mail = MessageConverter::toEmail($original);
        $headers = [];
        foreach ($mail->getHeaders()->all() as $header) {
            $headers[$header->getName()] = $header->getBodyAsString();
        }
        MailboxMessage::query()->insertOrIgnore([
            'to' => implode(', ', array_map(static fn (Address $address): string => $address->getAddress(), $mail->getTo())),
            'subject' => (string) $mail->getSubject(),
            'html' => (string) $mail->getHtmlBody(),
            'text' => (string) $mail->getTextBody(),
            'headers' => json_encode($headers, JSON_THROW_ON_ERROR),
            'delivery' => $headers['X-Watchpost-Delivery'] ?? null,
            'created_at' => now(),
            'updated_at' => now(),
        ]);
    }

    public function __toString(): string
    {
        return 'mailbox';
    }
}
