<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BeginImport;
use App\Actions\CancelImport;
use App\Actions\MapImport;
use App\Actions\StartImport;
use App\Data\ImportData;
use App\Enums\ImportKind;
use App\Http\Requests\MappingRequest;
use App\Import\ImportPreview;
use App\Import\UnreadableFile;
use App\Models\Import;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Files brought in by hand. */
final class ImportController extends Controller
{
    public function store(Request $request, BeginImport $begin): RedirectResponse
    {
        $request->validate(
            ['kind' => ['required', Rule::enum(ImportKind::class)], 'file' => ['required', 'file', 'max:262144']],
            ['file.required' => 'Choose a file.', 'file.max' => 'The file is larger than 256 MB: import it by command line, php artisan watchpost:import.', 'file.uploaded' => 'The file did not arrive whole. Nothing was kept; try again.'],
        );
        $file = $request->file('file');
        $user = $request->user();
        if (! $file instanceof UploadedFile || ! $user instanceof User) {
            throw ValidationException::withMessages(['file' => 'Choose a file.']);
        }
        $path = Storage::disk('local')->path((string) $file->store('imports', 'local'));
        try {
            $import = $begin($user, ImportKind::from($request->string('kind')->value()), $path, $file->getClientOriginalName());
        } catch (UnreadableFile $fault) {
            throw ValidationException::withMessages(['file' => $fault->getMessage()]);
        }

        return redirect("/data/imports/{$import->id}");
    }

    public function show(Import $import, ImportPreview $preview): Response
    {
        return Inertia::render('Import', ['import' => fn () => ImportData::of($import), 'preview' => fn () => $preview->of($import)]);
    }

    public function progress(Import $import): JsonResponse
    {
        return new JsonResponse(ImportData::of($import));
    }

    public function map(MappingRequest $request, Import $import, MapImport $map): RedirectResponse
    {
        $map($import, $request->mapping());

        return back();
    }

    public function start(Import $import, StartImport $start): RedirectResponse
    {
        $start($import);

        return back();
    }

    public function cancel(Import $import, CancelImport $cancel): RedirectResponse
    {
        $cancel($import);

        return back();
    }
}
