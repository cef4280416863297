<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Project;
use App\Models\User;

/**
 * A person's projects by name. Capitals, spaces, hyphens and underscores do not tell two names apart, as signs such as
 * +follow_up have no spaces. Reads all names once, when the first is asked for.
 */
final class ProjectNames
{
    private const LONGEST = 200;

    /** @var array<string, Project>|null by plain name */
    private ?array $known = null;

    public function __construct(private readonly User $user) {}

    /** The project of that name; one that is missing is made, in the given area or the person's first. */
    public function of(string $name, ?int $areaId = null): Project
    {
        $this->known ??= $this->user->projects()->get()->keyBy(static fn (Project $project): string => self::plain($project->name))->all();

        return $this->known[self::plain($name)] ??= $this->user->projects()->create([
            'name' => mb_substr(trim($name), 0, self::LONGEST),
            'area_id' => $areaId ?? $this->user->usualArea(),
        ]);
    }

    /** The project that a sign such as +wall_texts names; one that is missing begins with a capital. */
    public function ofSign(string $sign): Project
    {
        $words = self::words($sign);

        return $this->of(mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1));
    }

    /** What a sign's name says in words: spaces for hyphens and underscores. */
    public static function words(string $sign): string
    {
        return trim((string) preg_replace('/[-_\s]+/u', ' ', $sign));
    }

    private static function plain(string $name): string
    {
        return mb_strtolower(self::words($name));
    }
}
