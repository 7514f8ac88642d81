<?php

declare(strict_types=1);

namespace Rheacid\Http\Controllers\Ready;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Rheacid\Actions\Ready\AddThings;
use Rheacid\Http\Forms\Ready\ShelfFile;
use Rheacid\Http\Forms\Sent;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Refused;

/** A shelf from a file: first shown, then taken, all of it or nothing. */
final class ShelfImportController
{
    public function create(): View
    {
        $typed = old('shelf');

        return view('ready.import', ['text' => is_string($typed) ? $typed : '', 'file' => null]);
    }

    public function preview(Request $request): View
    {
        $text = self::text($request);

        return view('ready.import', ['text' => $text, 'file' => ShelfFile::read($text)]);
    }

    public function store(Request $request, AddThings $add): RedirectResponse
    {
        $file = ShelfFile::read(self::text($request));
        $things = $file->things();
        if ($things === [] || !$file->isWhole()) {
            throw Refused::because(
                'Some lines have errors. Nothing was imported. Correct the lines shown below and send the file again.',
                'shelf',
            );
        }
        $add(Sent::person($request), IdempotencyKey::from($request), $things);

        return redirect()
            ->route('ready')
            ->with('done', count($things) === 1 ? 'One item was added.' : count($things) . ' items were added.');
    }

    private static function text(Request $request): string
    {
        $request->validate(['file' => ['nullable', 'file', 'max:256'], 'shelf' => ['nullable', 'string', 'max:200000']]);
        $file = $request->file('file');

        return $file instanceof UploadedFile ? (string) $file->get() : (string) $request->string('shelf');
    }
}
