<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\EditionData;
use App\Data\EditionPartData;
use App\Data\EditionTextData;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;

/** An edition as a PDF to be printed or kept, as its reader reads it, with still charts. It fetches nothing from outside. */
final readonly class EditionPdf
{
    public function __construct(private Factory $views, private StillChart $charts)
    {
    }

    /** @param callable(string): ?string $picture the bytes of a picture by its fingerprint, as a data address; null for one that is not there */
    public function of(EditionData $edition, callable $picture): string
    {
        $options = new Options();
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('DejaVu Serif');
        $options->setTempDir(sys_get_temp_dir());
        $options->setFontCache(sys_get_temp_dir());
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4');
        $pdf->loadHtml($this->views->make('pdf.edition', [
            'edition' => $edition,
            'charts' => array_map(fn (EditionPartData $part): string => $this->chart($part), $edition->parts),
            'texts' => array_map(static fn (EditionTextData $text): array => [
                'title' => $text->title,
                'place' => $text->place,
                'html' => (string) preg_replace_callback('~src="[^"]*/images/([0-9a-f]{64})"~', static fn (array $found): string => 'src="'.($picture($found[1]) ?? '').'"', $text->html),
            ], $edition->texts),
        ])->render());
        $pdf->render();

        return (string) $pdf->output();
    }

    private function chart(EditionPartData $part): string
    {
        $svg = $this->charts->of($part);

        return $svg === '' ? '' : 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
