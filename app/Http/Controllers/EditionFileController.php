<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\EditionData;
use App\Import\Exporter;
use App\Models\Attachment;
use App\Models\Edition;
use App\Publishing\EditionMarkdown;
use App\Publishing\EditionPdf;
use App\Publishing\EditionPresenter;
use App\Publishing\Evidence;
use App\Publishing\SetupsFile;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response as HttpResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** An edition as files to take away: what a tier may read, or the whole for those who may read all of it. */
final class EditionFileController extends Controller
{
    /** The sealed document itself, byte for byte. */
    public function document(Request $request, Edition $edition): HttpResponse
    {
        $this->allowWhole($request, $edition);

        return $this->file($edition->document, "edition-{$edition->number}.json", 'application/json');
    }

    /** The document with what the record claims of it, to be recomputed. */
    public function evidence(Request $request, Edition $edition, Evidence $evidence): HttpResponse
    {
        $this->allowWhole($request, $edition);

        return $this->file(json_encode($evidence->of($edition), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE), "evidence-{$edition->number}.json", 'application/json');
    }

    /** The bars its setups were judged on. */
    public function bars(Request $request, Edition $edition, Evidence $evidence): StreamedResponse
    {
        $this->allowWhole($request, $edition);

        return $this->table($evidence->bars($edition), "bars-{$edition->number}.csv");
    }

    public function markdown(Request $request, Edition $edition, EditionPresenter $presenter, EditionMarkdown $markdown): HttpResponse
    {
        return $this->file($markdown->of($this->readable($request, $edition, $presenter)), "edition-{$edition->number}.md", 'text/markdown; charset=UTF-8');
    }

    public function pdf(Request $request, Edition $edition, EditionPresenter $presenter, EditionPdf $pdf): HttpResponse
    {
        $picture = static function (string $hash): ?string {
            $image = Attachment::query()->where('hash', $hash)->first();
            $bytes = $image === null ? null : Storage::disk('local')->get($image->path());

            return $image === null || $bytes === null ? null : "data:{$image->type};base64,".base64_encode($bytes);
        };

        return $this->file($pdf->of($presenter->edition($edition, $this->reader($request), $this->account($request)), $picture), "edition-{$edition->number}.pdf", 'application/pdf');
    }

    public function setups(Request $request, Edition $edition, EditionPresenter $presenter, SetupsFile $setups): StreamedResponse
    {
        return $this->table($setups->lines($this->readable($request, $edition, $presenter)), "setups-{$edition->number}.csv");
    }

    private function readable(Request $request, Edition $edition, EditionPresenter $presenter): EditionData
    {
        return $presenter->edition($edition, $this->reader($request), $this->account($request), withCharts: false);
    }

    private function file(string $content, string $name, string $type): HttpResponse
    {
        return response($content, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }

    /** @param iterable<list<string>> $lines */
    private function table(iterable $lines, string $name): StreamedResponse
    {
        return response()->streamDownload(static function () use ($lines): void {
            $out = fopen('php://output', 'w');
            if ($out !== false) {
                Exporter::write($lines, $out);
            }
        }, $name, ['Content-Type' => 'text/csv; charset=UTF-8']);
    }
}
