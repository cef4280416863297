<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\User;
use App\Planning\RowMapper;
use App\Planning\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Due;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\Understood;

/** What was understood of a typed line, to be written beneath its words. */
final readonly class Gloss
{
    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @return array{text: string, title: string, parts: list<array{kind: string, start: int, length: int, gloss: string, problem: bool}>} */
    public function of(Line $line): array
    {
        return ['text' => $line->text, 'title' => $line->title, 'parts' => array_map(fn (Understood $part): array => [
            'kind' => $part->kind->value,
            'start' => $part->start,
            'length' => $part->length,
            'gloss' => $part->problem === null ? $this->meaning($part, mb_substr($line->text, $part->start, $part->length)) : __("gather.problem.{$part->problem->value}"),
            'problem' => $part->problem !== null,
        ], $line->parts)];
    }

    /** A duration that already reads as we write it is not said twice. */
    private function meaning(Understood $part, string $words): string
    {
        return match ($part->kind) {
            Kind::Minutes => str_ends_with($words, Times::duration((int) $part->minutes))
                ? __('gather.gloss.estimate')
                : __('gather.gloss.minutes', ['minutes' => Times::duration((int) $part->minutes)]),
            Kind::Due => __('gather.gloss.due', ['when' => $part->due === null ? '' : $this->due($part->due)]),
            Kind::Importance => __('gather.gloss.importance'),
        };
    }

    private function due(Due $due): string
    {
        $zone = Zones::named($this->user->zone);
        $day = Times::day($this->user, $zone->at($due->day, 720), $this->now);

        return $due->minuteOfDay === null ? $day : $day.', '.RowMapper::moment($zone->at($due->day, min(1439, $due->minuteOfDay)))->setTimezone($this->user->zone)->format('H:i');
    }
}
