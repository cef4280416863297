<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\FirstDay;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\Recurrence;
use Nekto\Core\Capture\Understood;
use Nekto\Core\Capture\When;
use Nekto\Core\Propose\Proposal;
use Nekto\Core\Propose\TellingWords;
use Nekto\Core\Task\Demand;

/** What was understood of a typed line, to be written beneath its words. */
final readonly class Gloss
{
    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @return array{text: string, title: string, parts: list<array{kind: string, start: int, length: int, gloss: string, problem: bool, instead: string|null, learned?: string, why?: string}>} */
    public function of(Line $line): array
    {
        return ['text' => $line->text, 'title' => $line->title, 'parts' => array_map(fn (Understood $part): array => [
            'kind' => $part->kind->value,
            'start' => $part->start,
            'length' => $part->length,
            'gloss' => $part->problem === null ? $this->meaning($part, mb_substr($line->text, $part->start, $part->length)) : __("gather.problem.{$part->problem->value}"),
            'problem' => $part->problem !== null,
            'instead' => $part->instead,
            ...($part->learned === null ? [] : ['learned' => $part->shown(), 'why' => $this->why($part->learned, $line->title)]),
        ], $line->parts)];
    }

    /**
     * A step: the whole of it, with its estimate.
     *
     * @return array{text: string, parts: list<array{kind: string, start: int, length: int, gloss: string, problem: bool}>}
     */
    public function ofSubtask(string $text): array
    {
        [, $minutes] = DurationReader::apart($text);
        $gloss = $minutes === null ? __('gather.gloss.subtask') : __('gather.gloss.subtask_minutes', ['minutes' => Times::duration($minutes)]);

        return ['text' => $text, 'parts' => [['kind' => 'subtask', 'start' => 0, 'length' => mb_strlen($text), 'gloss' => $gloss, 'problem' => false]]];
    }

    /**
     * "3 tasks, 1 repeats, 1 waits".
     *
     * @param  list<array{under: int, parts: list<array{kind: string, problem: bool}>}>  $lines
     */
    public function summary(array $lines): string
    {
        $count = ['repeat' => 0, 'waiting' => 0];
        foreach ($lines as $line) {
            foreach ($line['parts'] as $part) {
                isset($count[$part['kind']]) && ! $part['problem'] && $count[$part['kind']]++;
            }
        }
        $said = [trans_choice('gather.summary.tasks', count($lines))];
        foreach (['subtasks' => array_sum(array_column($lines, 'under')), 'repeat' => $count['repeat'], 'waiting' => $count['waiting']] as $what => $many) {
            $many > 0 && $said[] = trans_choice("gather.summary.{$what}", $many);
        }

        return implode(', ', $said);
    }

    /** A duration that already reads as we write it is not said twice. */
    private function meaning(Understood $part, string $words): string
    {
        $value = $part->value;
        if ($part->learned !== null) {
            return __("gather.learned.{$part->kind->value}", ['what' => is_int($value) ? Times::duration($value) : ($value instanceof Demand ? $value->value : (is_string($value) ? $value : ''))]);
        }

        return match (true) {
            is_int($value) && $part->kind === Kind::Minutes => str_ends_with($words, Times::duration($value))
                ? __('gather.gloss.estimate')
                : __('gather.gloss.minutes', ['minutes' => Times::duration($value)]),
            is_int($value) => trans_choice('gather.gloss.times', $value),
            $value instanceof When => __("gather.gloss.{$part->kind->value}", ['when' => $this->when($value)]),
            $value instanceof Recurrence => $this->repeat($value),
            is_string($value) => __("gather.gloss.{$part->kind->value}", ['name' => $value]),
            default => __("gather.gloss.{$part->kind->value}"),
        };
    }

    private function why(Proposal $proposal, string $title): string
    {
        return __('gather.learned.why', ['had' => $proposal->had, 'of' => $proposal->of, 'word' => TellingWords::typed($title, $proposal->word)]);
    }

    private function when(When $when): string
    {
        if ($when->day === null) {
            return '';
        }
        $zone = Zones::named($this->user->zone);
        $day = Times::day($this->user, $zone->at($when->day, 720), $this->now);

        return $when->minuteOfDay === null ? $day : $day.', '.Times::clock($this->user, $zone->at($when->day, min(1439, $when->minuteOfDay)));
    }

    private function repeat(Recurrence $repeat): string
    {
        if ($repeat->rule === null) {
            return __('gather.gloss.repeat_after', ['how' => Rules::afterDone((string) $repeat->afterDone)]);
        }
        $first = FirstDay::of($repeat->rule, Moments::today($this->user, $this->now));

        return __('gather.gloss.repeat', ['when' => $this->when(new When($first))]);
    }
}
