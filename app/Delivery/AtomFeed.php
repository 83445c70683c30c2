<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Models\Edition;
use App\Publishing\EditionMarkdown;
use App\Publishing\EditionPresenter;
use App\Subscribers\Reader;
use Illuminate\Support\Str;
use Watchpost\Core\Market\Instant;

/**
 * The editions as someone reads them, as a feed. What is withheld is not in it.
 *
 * Source: RFC 4287 (The Atom Syndication Format).
 */
final readonly class AtomFeed
{
    /** Editions in it, the latest first. */
    private const MOST = 20;
    private const NAMESPACE = 'http://www.w3.org/2005/Atom';

    public function __construct(private EditionPresenter $editions, private EditionMarkdown $markdown)
    {
    }

    /** @param string $address of the feed itself */
    public function of(Reader $reader, string $address): string
    {
        $editions = Edition::query()->orderByDesc('number')->limit(self::MOST)->get();
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'feed', self::NAMESPACE);
        $xml->writeElement('id', 'urn:watchpost:editions:'.$reader->key());
        $xml->writeElement('title', 'Watchpost editions');
        $xml->writeElement('updated', Instant::format($editions->first()->published_at ?? 0));
        $this->link($xml, 'self', $address, 'application/atom+xml');
        $this->link($xml, 'alternate', url('/editions'), 'text/html');
        foreach ($editions as $edition) {
            $this->entry($xml, $edition, $reader);
        }
        $xml->endElement();
        $xml->endDocument();

        return $xml->outputMemory();
    }

    private function entry(\XMLWriter $xml, Edition $edition, Reader $reader): void
    {
        $read = $this->editions->edition($edition, $reader, withCharts: false);
        $xml->startElement('entry');
        // the seal names it for ever
        $xml->writeElement('id', "urn:sha256:{$edition->seal}");
        $xml->writeElement('title', "Edition {$edition->number}: {$read->session}");
        $xml->writeElement('published', Instant::format($edition->published_at));
        $xml->writeElement('updated', Instant::format($edition->published_at));
        $xml->startElement('author');
        $xml->writeElement('name', $read->author);
        $xml->endElement();
        $this->link($xml, 'alternate', url("/editions/{$edition->number}"), 'text/html');
        $xml->startElement('content');
        $xml->writeAttribute('type', 'html');
        $xml->text((string) Str::markdown($this->markdown->of($read), ['html_input' => 'strip']));
        $xml->endElement();
        $xml->endElement();
    }

    private function link(\XMLWriter $xml, string $relation, string $address, string $type): void
    {
        $xml->startElement('link');
        $xml->writeAttribute('rel', $relation);
        $xml->writeAttribute('href', $address);
        $xml->writeAttribute('type', $type);
        $xml->endElement();
    }
}
