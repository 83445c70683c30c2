<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attachment;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/** Keeps a picture for the words of a plan, under the fingerprint of its bytes: a sealed text names exactly these. */
final class AttachImage
{
    public function __invoke(User $author, UploadedFile $file): Attachment
    {
        $bytes = (string) $file->get();
        $hash = hash('sha256', $bytes);
        $attachment = Attachment::query()->firstOrNew(['hash' => $hash], ['author_id' => $author->id, 'type' => (string) $file->getMimeType(), 'name' => mb_substr($file->getClientOriginalName(), 0, 120)]);
        Storage::disk('local')->put($attachment->path(), $bytes);
        $attachment->save();

        return $attachment;
    }
}
