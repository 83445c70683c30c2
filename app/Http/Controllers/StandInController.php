<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\MailboxMessage;
use App\Models\SinkMessage;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The pages that stand in for a mail server and for the address of a webhook; there only while these are used. */
final class StandInController extends Controller
{
    private const MOST = 100;

    public function mailbox(Request $request): Response
    {
        $this->only('mail.default', 'mailbox');
        $to = $request->string('to')->trim()->value();

        return Inertia::render('Mailbox', [
            'to' => $to,
            'mails' => static fn () => MailboxMessage::query()
                ->when($to !== '', static fn ($mails) => $mails->where('to', $to))
                ->orderByDesc('id')
                ->limit(self::MOST)
                ->get(['id', 'to', 'subject', 'created_at'])
                ->map(static fn (MailboxMessage $mail): array => ['id' => $mail->id, 'to' => $mail->to, 'subject' => $mail->subject, 'at' => $mail->created_at->format('j M H:i:s')]),
        ]);
    }

    /** A mail as it would be shown: kept apart from the application, without scripts. */
    public function mail(MailboxMessage $mail): HttpResponse
    {
        $this->only('mail.default', 'mailbox');

        return response($mail->html, 200, ['Content-Type' => 'text/html; charset=UTF-8', 'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; sandbox allow-top-navigation-by-user-activation allow-popups"]);
    }

    public function sink(): Response
    {
        $this->only('watchpost.webhooks', 'sink');

        return Inertia::render('Sink', [
            'messages' => static fn () => SinkMessage::query()->orderByDesc('id')->limit(self::MOST)->get()
                ->map(static fn (SinkMessage $one): array => ['id' => $one->id, 'url' => $one->url, 'headers' => $one->headers, 'body' => $one->body, 'at' => $one->created_at->format('j M H:i:s')]),
        ]);
    }

    private function only(string $setting, string $value): void
    {
        // a mail can be a way in: where people really are, nobody reads those of others
        abort_if(app()->isProduction() || config($setting) !== $value, 404, 'A real server is in use here: there is no stand-in.');
    }
}
