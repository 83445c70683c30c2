<?php

declare(strict_types=1);

namespace App\Record;

use Watchpost\Core\Outcomes\Event;
use Watchpost\Core\Outcomes\EventKind;
use Watchpost\Core\Setups\Draft;

/** Something that happened to a setup, in a few words of plain English. */
final class EventWords
{
    private const REASONS = [
        'gap_max_percent' => 'the session gapped too far',
        'gap_min_percent' => 'the session gapped too little',
        'not_before_minutes' => 'it was too early in the session',
        'not_after_minutes' => 'it was too late in the session',
        'blackout' => 'it fell into the blackout',
        'relative_volume_min' => 'too little was traded',
        'close_place_min' => 'the bar closed too far from its extreme',
        'average_above' => 'the close was not above its average',
        'average_below' => 'the close was not below its average',
        'rsi_max' => 'the RSI was too high',
        'rsi_min' => 'the RSI was too low',
        'index_above' => 'the index was not above its price',
        'index_below' => 'the index was not below its price',
        'worst' => 'the price was beyond the worst allowed',
    ];

    public function withPrice(Event $event): string
    {
        $words = $this->of($event);
        if (! isset($event->details['price'])) {
            return $words;
        }
        $at = " at {$event->details['price']}";
        // "out at 27.18: its time was over"
        $reason = in_array($event->kind, [EventKind::Time, EventKind::Ended, EventKind::Void], true) ? strrpos($words, ':') : false;

        return $reason === false ? $words.$at : substr_replace($words, $at, $reason, 0);
    }

    public function of(Event $event): string
    {
        $detail = static fn (string $key): string => (string) ($event->details[$key] ?? '');
        $leg = $detail('leg') === '' || $detail('leg') === Draft::LEG ? '' : ' “'.$detail('leg').'”';

        return match ($event->kind) {
            EventKind::Armed => "armed{$leg}: now a way back is awaited",
            EventKind::Disarmed => "disarmed{$leg}: the level was lost again",
            EventKind::Fill => "filled{$leg}",
            EventKind::Skipped => "not filled{$leg}: ".(self::REASONS[$detail('reason')] ?? $detail('reason')),
            EventKind::Void => "void{$leg}: the price was past the ".($detail('reason') === 'past_stop' ? 'stop' : 'first target'),
            EventKind::Target => 'target '.$detail('number'),
            EventKind::Stop => ($event->details['moved'] ?? false) === true ? 'moved stop' : 'stop',
            EventKind::Time => 'out: its time was over',
            EventKind::OpenExit => 'out at the open, as planned',
            EventKind::Ended => 'out: the last session is over',
            EventKind::Manual => 'taken off by the author',
            EventKind::StopMoved => 'the stop was moved',
            EventKind::Expired => "expired{$leg}",
            EventKind::Cancelled => "cancelled{$leg}: ".match ($detail('reason')) {
                'cancel' => 'the cancel price was met',
                'group' => 'another setup of the pair was filled first',
                'update' => 'by the author',
                default => 'the position was closed',
            },
        };
    }
}
