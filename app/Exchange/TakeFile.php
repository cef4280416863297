<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Files\PlainText;
use App\Intake\Parts;
use App\Intake\Steps;
use App\Models\Intake;
use App\Models\IntakeStage;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Storage;

/** Brings a file of tasks in: read, looked at by the person, and taken in steps. */
final readonly class TakeFile implements Steps
{
    /** Tasks of one step, each step a change that can be taken back. */
    public const BATCH = 500;

    private const KNOWN_AT_ONCE = 500;

    public function __construct(private TakeDrafts $take, private MailParts $mail) {}

    public function cut(Intake $intake, CarbonImmutable $now): void
    {
        $format = Format::from((string) $intake->format);
        $bytes = (string) Storage::get((string) $intake->path);
        $intake->fill(['problems' => [], 'failed' => 0, 'changed' => 0, 'added' => 0]);
        if ($format === Format::Csv) {
            [$intake->header, $intake->columns] = CsvReader::columns(PlainText::of($bytes), $intake->columns);
        }
        Parts::write($intake, self::drafts($intake, (new ReadFile($intake->user, $now))($format, $bytes, $intake->columns)));
        $intake->stage = IntakeStage::Ready;
    }

    public function take(Intake $intake, CarbonImmutable $now): void
    {
        $drafts = array_map(Draft::fromJson(...), iterator_to_array(Parts::next($intake, self::BATCH), false));
        $isMail = $intake->format === Format::Mail->value;
        $known = $isMail ? TakeDrafts::known($intake->user, $drafts) : [];
        [$taken] = ($this->take)($intake->user, $drafts, $isMail ? 'mail' : 'file', $now);
        if ($isMail) {
            $keys = array_map(static fn (Draft $draft): string => $draft->key, $drafts);
            ($this->mail)($intake->user, (string) Storage::get((string) $intake->path), array_values(array_filter($keys, static fn (string $key): bool => ! isset($known[$key]))), $now);
        }
        $intake->added += $taken;
        $intake->save(); // if it fails here, what was taken is known the next time
    }

    public function finished(Intake $intake, CarbonImmutable $now): void {}

    public function aside(Intake $intake, string $why, CarbonImmutable $now): void {}

    /**
     * @param  \Generator<Draft|Problem>  $read
     * @return \Generator<array<string, mixed>>
     */
    private static function drafts(Intake $intake, \Generator $read): \Generator
    {
        $some = [];
        foreach ($read as $one) {
            if ($one instanceof Problem) {
                $intake->fail($one->line, $one->what);

                continue;
            }
            $some[] = $one;
            if (count($some) === self::KNOWN_AT_ONCE) {
                $intake->changed += count(TakeDrafts::known($intake->user, $some)); // as long as a file waits, that may change: it is looked at again when it is taken
                $some = [];
            }
            yield $one->asJson();
        }
        $intake->changed += count(TakeDrafts::known($intake->user, $some));
    }
}
