<?php

declare(strict_types=1);

namespace App\Find;

/** What a view asks for: groups of conditions joined by "or", conditions of a group by "and"; how the answer is sorted and shown. */
final readonly class Question
{
    /** What tasks can be grouped by. */
    public const GROUPS = ['none', 'area', 'project', 'context', 'part', 'due', 'importance', 'stage'];

    /** What they can be sorted by. */
    public const ORDERS = ['pull', 'due', 'importance', 'estimate', 'longest', 'area', 'context', 'project', 'oldest', 'newest', 'title'];

    private const MOST = 12;

    /**
     * @param  non-empty-list<list<array{not: bool, what: string}>>  $groups  conditions as "due:overdue", "area:3"
     * @param  list<string>  $order  of ORDERS, the first counts most
     * @param  'list'|'sums'  $face  what it opens as
     */
    private function __construct(public array $groups, public string $group, public array $order, public string $face) {}

    /**
     * From a form or a stored row; what makes no sense is left out.
     *
     * @param  array<array-key, mixed>  $data
     */
    public static function of(array $data): self
    {
        $groups = [[]];
        $conditions = is_array($data['conditions'] ?? null) ? $data['conditions'] : [];
        foreach (array_slice($conditions, 0, self::MOST) as $one) {
            if (! is_array($one) || ! is_string($one['what'] ?? null) || preg_match('/^[a-z_]+:[\w-]+$/D', $one['what']) !== 1 || ! Conditions::knows($one['what'])) {
                continue;
            }
            if (($one['join'] ?? 'and') === 'or' && $groups[count($groups) - 1] !== []) {
                $groups[] = [];
            }
            $groups[count($groups) - 1][] = ['not' => (bool) ($one['not'] ?? false), 'what' => $one['what']];
        }
        $order = array_values(array_unique(array_filter(is_array($data['order'] ?? null) ? $data['order'] : [], static fn (mixed $key): bool => is_string($key) && in_array($key, self::ORDERS, true))));
        $group = in_array($data['group'] ?? null, self::GROUPS, true) ? $data['group'] : 'none';

        return new self($groups, $group, $order === [] ? ['pull'] : $order, ($data['face'] ?? null) === 'sums' ? 'sums' : 'list');
    }

    /** @return array{conditions: list<array{join: string, not: bool, what: string}>, group: string, order: list<string>, face?: 'sums'} to be stored */
    public function asArray(): array
    {
        $conditions = [];
        foreach ($this->groups as $group) {
            foreach ($group as $i => $one) {
                $conditions[] = ['join' => $i === 0 && $conditions !== [] ? 'or' : 'and'] + $one;
            }
        }

        return ['conditions' => $conditions, 'group' => $this->group, 'order' => $this->order] + ($this->face === 'sums' ? ['face' => 'sums'] : []);
    }

    /** True if no task can meet any of its groups. */
    public function contradicts(): bool
    {
        foreach ($this->groups as $group) {
            if (! self::excludes($group)) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<array{not: bool, what: string}>  $group */
    private static function excludes(array $group): bool
    {
        $wanted = [];
        foreach ($group as $one) {
            [$field] = explode(':', $one['what']);
            foreach ($group as $other) {
                if ($other['what'] === $one['what'] && $other['not'] !== $one['not']) {
                    return true;
                }
            }
            if (! $one['not'] && in_array($field, Conditions::SINGLE, true)) {
                if (isset($wanted[$field]) && $wanted[$field] !== $one['what']) {
                    return true;
                }
                $wanted[$field] = $one['what'];
            }
        }
        $has = static fn (string $what): bool => in_array(['not' => false, 'what' => $what], $group, true);

        return $has('due:none') && ($has('due:overdue') || $has('due:today') || $has('due:week') || $has('due:any'));
    }
}
