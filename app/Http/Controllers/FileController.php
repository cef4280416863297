<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exchange\CsvReader;
use App\Exchange\Format;
use App\Exchange\ReadFile;
use App\Exchange\ReadTasks;
use App\Exchange\TakeDrafts;
use App\Exchange\WriteTasks;
use App\Files\PlainText;
use App\Files\UnreadableFile;
use App\Http\Requests\FileRequest;
use App\Models\FilePreview;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Tasks from files, each looked at before it is taken, and into files. */
final readonly class FileController
{
    public function index(Request $request, #[CurrentUser] User $user): View
    {
        return view('screens.files', ['formats' => Format::cases(), 'previews' => $user->previews()->latest('id')->limit(5)->get(['id', 'user_id', 'name', 'format', 'created_at']), 'refused' => $request->query('refused') === 'too_large']);
    }

    public function store(FileRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        [$name, $bytes] = $request->content();
        try {
            $format = $request->chosenFormat() ?? Format::guess($name, substr($bytes, 0, 4000));
            $text = $format === Format::Mail ? base64_encode($bytes) : PlainText::of($bytes);
            $preview = $user->previews()->make(['name' => mb_substr($name, 0, 200), 'format' => $format->value, 'content' => $text]);
            (new ReadFile($user, Clock::now()))($preview);
        } catch (UnreadableFile $fault) {
            return back()->withInput($request->except('file'))->withErrors(['file' => $fault->getMessage()]);
        }
        $user->previews()->where('created_at', '<', Clock::now()->subDays(2))->delete();
        $preview->save();

        return redirect("/gather/files/{$preview->id}");
    }

    public function show(FilePreview $preview, #[CurrentUser] User $user): View
    {
        $read = $this->read($user, $preview);

        return view('screens.preview', [
            'preview' => $preview, 'read' => $read, 'format' => Format::from($preview->format), 'known' => TakeDrafts::known($user, $read->drafts), 'choices' => array_keys(CsvReader::COLUMNS),
        ]);
    }

    /** What each column of a table holds. */
    public function update(Request $request, FilePreview $preview): RedirectResponse
    {
        $columns = array_map(static fn (mixed $one): string => is_string($one) && isset(CsvReader::COLUMNS[$one]) ? $one : '', array_values($request->array('columns')));
        $preview->update(['columns' => $columns]);

        return redirect("/gather/files/{$preview->id}");
    }

    public function take(FilePreview $preview, #[CurrentUser] User $user, TakeDrafts $take): RedirectResponse
    {
        $format = Format::from($preview->format);
        [$taken, $known] = $take($user, $this->read($user, $preview)->drafts, $format === Format::Mail ? 'mail' : 'file', Clock::now());
        $preview->delete();
        $said = trans_choice('files.taken', $taken).($known > 0 ? ' '.trans_choice('files.known', $known) : '');

        return redirect('/gather')->with(['status' => $said, 'undo' => $taken > 0]);
    }

    public function destroy(FilePreview $preview): RedirectResponse
    {
        $preview->delete();

        return redirect('/gather/files');
    }

    public function export(string $format, #[CurrentUser] User $user): Response
    {
        $format = Format::tryFrom($format) ?? abort(404);
        $tasks = $user->tasks()->with(['area', 'project', 'contexts', 'links', 'subtasks', 'repeat'])->orderBy('created_at')->orderBy('id')->get();

        return response((new WriteTasks($user, Clock::now()))($format, $tasks), 200, [
            'Content-Type' => $format->mediaType().'; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="'.$format->fileName().'"',
        ]);
    }

    private function read(User $user, FilePreview $preview): ReadTasks
    {
        try {
            return (new ReadFile($user, Clock::now()))($preview);
        } catch (UnreadableFile $fault) {
            return new ReadTasks([], [['line' => 1, 'what' => $fault->getMessage()]]);
        }
    }
}
