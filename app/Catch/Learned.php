<?php

declare(strict_types=1);

namespace App\Catch;

use App\Models\User;
use App\Rows\PastLines;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\Understood;
use Nekto\Core\Propose\Proposal;
use Nekto\Core\Propose\Proposals;
use Nekto\Core\Task\Demand;

/** Proposes for a line what similar lines of the same person got before. Nothing of it is taken that was not shown. */
final class Learned
{
    private const KINDS = ['project' => Kind::Project, 'area' => Kind::Area, 'context' => Kind::Context, 'minutes' => Kind::Minutes, 'demand' => Kind::Demand];

    private ?Proposals $proposals = null;

    /** @var array<string, array<int, string>> names by field and id */
    private array $names = [];

    private int $usualArea;

    public function __construct(private readonly User $user) {}

    /**
     * The line with what is proposed for it.
     *
     * @param  list<string>  $refused  as a line is read with: "project ~" leaves out what is proposed of that kind
     * @param  list<string>|null  $shown  what the person has seen, as Understood says it, and nothing else; null: they see it now
     */
    public function with(Line $line, array $refused, ?array $shown = null): Line
    {
        if ($shown === [] || $line->title === '') {
            return $line;
        }
        $proposals = $this->proposals()->for($line->title);
        $at = mb_strlen($line->text);
        $found = [];
        foreach (self::KINDS as $field => $kind) {
            $value = isset($proposals[$field]) && ! in_array("{$kind->value} ~", $refused, true) && ! self::says($line, $kind) ? $this->value($field, $proposals[$field]) : null;
            $part = $value === null ? null : new Understood($kind, $at, 0, $value, learned: $proposals[$field]);
            if ($part !== null && ($shown === null || in_array(mb_strtolower($part->shown()), $shown, true))) {
                $found[$field] = $part;
            }
        }
        if (isset($found['project']) || $line->name(Kind::Project) !== null) {
            unset($found['area']); // a project brings its own
        }

        return $line->with(array_values($found));
    }

    private static function says(Line $line, Kind $kind): bool
    {
        return array_filter($line->parts, static fn (Understood $part): bool => $part->kind === $kind && $part->problem === null) !== []
            || ($kind === Kind::Minutes && $line->repeat() === null && $line->name(Kind::Waiting) !== null); // what somebody else does takes no time of one's own
    }

    private function value(string $field, Proposal $proposal): int|string|Demand|null
    {
        return match ($field) {
            'minutes' => (int) $proposal->label,
            'demand' => Demand::tryFrom((string) $proposal->label),
            'area' => (int) $proposal->label === $this->usualArea ? null : ($this->names['area'][(int) $proposal->label] ?? null),
            default => $this->names[$field][(int) $proposal->label] ?? null,
        };
    }

    private function proposals(): Proposals
    {
        if ($this->proposals === null) {
            $this->proposals = PastLines::learned($this->user);
            $this->usualArea = $this->user->usualArea();
            $this->names = [
                'project' => $this->user->projects()->whereNull('done_at')->pluck('name', 'id')->all(),
                'area' => $this->user->areas()->pluck('name', 'id')->all(),
                'context' => $this->user->contexts()->pluck('name', 'id')->all(),
            ];
        }

        return $this->proposals;
    }
}
