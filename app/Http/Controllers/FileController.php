<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exchange\CsvReader;
use App\Exchange\Draft;
use App\Exchange\Format;
use App\Exchange\ReadFile;
use App\Exchange\TakeDrafts;
use App\Exchange\TakeFile;
use App\Exchange\WriteOwn;
use App\Exchange\WriteTasks;
use App\Files\UnreadableFile;
use App\Http\Requests\FileRequest;
use App\Intake\Intakes;
use App\Intake\Parts;
use App\Models\Intake;
use App\Models\IntakeStage;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Tasks from files, each looked at before it is taken, and into files. */
final readonly class FileController
{
    /** Tasks up to which a file is taken at once. */
    private const AT_ONCE = TakeFile::BATCH;

    /** Tasks that are shown of a file. */
    private const SHOWN = 200;

    public function index(Request $request, #[CurrentUser] User $user): View
    {
        return view('screens.files', ['formats' => Format::cases(), 'outgoing' => [Format::Own, ...array_filter(Format::cases(), static fn (Format $one): bool => $one !== Format::Own)], 'previews' => $user->intakes()->where('kind', 'tasks')->whereNotIn('stage', [IntakeStage::Finished])->latest('id')->limit(5)->get(), 'refused' => $request->query('refused') === 'too_large']);
    }

    public function store(FileRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        [$name, $bytes] = $request->content();
        try {
            Intakes::isFull($user) && throw new UnreadableFile(__('files.too_many', ['count' => Intakes::MOST]));
            $format = $request->chosenFormat() ?? Format::guess($name, substr($bytes, 0, 4000));
            ReadFile::check($format, $bytes);
        } catch (UnreadableFile $fault) {
            return back()->withInput($request->except('file'))->withErrors(['file' => $fault->getMessage()]);
        }
        $preview = Intakes::begin($user, 'tasks', mb_scrub($name), $bytes, ['format' => $format->value], ReadFile::isQuick($format, $bytes));

        return redirect("/gather/files/{$preview->id}");
    }

    public function show(Intake $preview, #[CurrentUser] User $user): View
    {
        if ($preview->stage !== IntakeStage::Ready) {
            return view('screens.import', ['import' => $preview]);
        }
        $shown = clone $preview;
        $drafts = array_map(Draft::fromJson(...), iterator_to_array(Parts::next($shown, self::SHOWN), false));

        return view('screens.preview', [
            'preview' => $preview, 'drafts' => $drafts, 'format' => Format::from((string) $preview->format), 'known' => TakeDrafts::known($user, $drafts), 'choices' => array_keys(CsvReader::COLUMNS),
        ]);
    }

    /** What each column of a table holds. */
    public function update(Request $request, Intake $preview): RedirectResponse
    {
        if ($preview->stage === IntakeStage::Ready) {
            $columns = array_map(static fn (mixed $one): string => is_string($one) && isset(CsvReader::COLUMNS[$one]) ? $one : '', array_values($request->array('columns')));
            $preview->update(['columns' => $columns, 'stage' => IntakeStage::Waiting]);
            Intakes::goOn($preview, $preview->total <= self::AT_ONCE);
        }

        return redirect("/gather/files/{$preview->id}");
    }

    public function take(Intake $preview): RedirectResponse
    {
        if ($preview->stage === IntakeStage::Ready) {
            $preview->update(['stage' => IntakeStage::Taking]);
            Intakes::goOn($preview, $preview->total <= self::AT_ONCE);
            $preview->refresh();
        }
        if ($preview->stage !== IntakeStage::Finished) {
            return redirect("/gather/files/{$preview->id}");
        }
        $known = $preview->same();
        $said = trans_choice('files.taken', $preview->added).($known > 0 ? ' '.trans_choice('files.known', $known) : '');

        return redirect('/gather')->with(['status' => $said, 'undo' => $preview->added > 0]);
    }

    public function destroy(Intake $preview): RedirectResponse
    {
        if ($preview->stage !== IntakeStage::Taking) {
            Parts::forget($preview);
            $preview->delete();
        }

        return redirect('/gather/files');
    }

    public function export(string $format, #[CurrentUser] User $user): Response|StreamedResponse
    {
        $format = Format::tryFrom($format) ?? abort(404);
        if ($format === Format::Own) {
            return response()->streamDownload(static function () use ($user): void {
                foreach ((new WriteOwn($user, Clock::now()))() as $line) {
                    echo $line;
                }
            }, $format->fileName(), ['Content-Type' => $format->mediaType().'; charset=UTF-8']);
        }
        $tasks = $user->tasks()->with(['area', 'project', 'contexts', 'links', 'subtasks', 'repeat'])->orderBy('created_at')->orderBy('id')->get();

        return response((new WriteTasks($user, Clock::now()))($format, $tasks), 200, [
            'Content-Type' => $format->mediaType().'; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="'.$format->fileName().'"',
        ]);
    }
}
