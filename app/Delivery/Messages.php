<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Clock\TimeLabel;
use App\Enums\DeliverySubject;
use App\Models\Alert;
use App\Models\Edition;
use App\Models\Update;
use App\Publishing\EditionMarkdown;
use App\Publishing\EditionPresenter;
use App\Publishing\EditionReader;
use App\Publishing\SetupsFile;
use App\Record\UpdateWords;
use App\Subscribers\Reader;

/**
 * Writes what is delivered. Readers who read the same are sent the same: it is written once for all of them, and only the
 * last few are kept.
 */
final class Messages
{
    private const KEPT = 8;
    /** Seconds after which it is written anew: what a tier sees may have been changed. */
    private const FRESH = 60;

    /** @var array<string, array{int, Message|null}> when it was written, and what */
    private array $written = [];

    public function __construct(
        private readonly EditionPresenter $editions,
        private readonly EditionMarkdown $markdown,
        private readonly SetupsFile $setups,
        private readonly TimeLabel $times,
        private readonly EditionReader $reader,
    ) {
    }

    /** Null when this reader sees nothing of it. */
    public function of(DeliverySubject $subject, int $id, Reader $reader): ?Message
    {
        $key = "{$subject->value}-{$id}-{$reader->key()}";
        $now = now()->getTimestamp();
        if (! isset($this->written[$key]) || $this->written[$key][0] < $now - self::FRESH) {
            unset($this->written[$key]);
            $message = match ($subject) {
                DeliverySubject::Edition => $this->edition(Edition::query()->findOrFail($id), $reader),
                DeliverySubject::Alert => $this->alert(Alert::query()->with(['publishedSetup.edition', 'publishedSetup.instrument'])->findOrFail($id), $reader),
                DeliverySubject::Update => $this->update(Update::query()->with(['publishedSetup.edition', 'publishedSetup.instrument', 'author'])->findOrFail($id), $reader),
            };
            $this->written = array_slice($this->written + [$key => [$now, $message]], -self::KEPT, null, true);
        }

        return $this->written[$key][1];
    }

    private function edition(Edition $edition, Reader $reader): Message
    {
        $read = $this->editions->edition($edition, $reader, withCharts: false);

        return new Message("Edition {$edition->number}: {$read->session}", "/editions/{$edition->number}", $this->markdown->of($read), [
            'event' => 'edition',
            'edition' => $edition->number,
            'session' => $edition->session_date,
            'published_at' => $edition->published_at,
            'seal' => $edition->seal,
            'setups' => $this->setups->records($read),
            'withheld' => $read->withheld,
        ]);
    }

    /** The same sentence as in the editor and the edition. */
    private function alert(Alert $alert, Reader $reader): ?Message
    {
        $published = $alert->publishedSetup;
        if (! $reader->readsAll($published->readers, $published->edition->published_at)) {
            return null;
        }
        $title = $alert->title();

        return new Message($title, "/editions/{$published->edition->number}", implode("\n\n", [
            "# {$title}",
            EditionMarkdown::plain("In the bar of {$this->times->full($alert->at)}. Setup {$published->key} of edition {$published->edition->number}:"),
            '> '.EditionMarkdown::plain($this->reader->setup($published->edition, $published->key)->sentence),
        ])."\n", [
            'event' => 'alert',
            'edition' => $published->edition->number,
            'setup' => $published->key,
            'symbol' => $published->instrument->symbol,
            'kind' => $alert->kind->value,
            'at' => $alert->at,
            'what' => $alert->what,
        ]);
    }

    private function update(Update $update, Reader $reader): ?Message
    {
        $published = $update->publishedSetup;
        if (! $reader->readsAll($published->readers, $published->edition->published_at)) {
            return null;
        }
        $symbol = $published->instrument->symbol;
        $what = UpdateWords::of($update);

        return new Message("{$symbol}: ".lcfirst($what), "/editions/{$published->edition->number}", implode("\n\n", array_filter([
            "# {$symbol}: ".lcfirst($what),
            "An update by {$update->author->name}, {$this->times->full($update->at)}, to setup {$published->key} of edition {$published->edition->number}.",
            EditionMarkdown::plain($update->text),
        ]))."\n", [
            'event' => 'update',
            'edition' => $published->edition->number,
            'setup' => $published->key,
            'symbol' => $symbol,
            'update' => $update->toRules(),
            'text' => $update->text,
        ]);
    }
}
