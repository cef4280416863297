<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** What comes with lines that were understood as they were typed: what the person refused, and what was proposed and seen. */
trait TypedLines
{
    /** Kinds that a form can set by itself. */
    private const PRESET = ['project', 'area'];

    /** @return array<string, list<mixed>> */
    private function typedRules(): array
    {
        return ['refused' => ['nullable', 'string', 'max:20000'], 'proposed' => ['nullable', 'string', 'max:100000'], 'preset' => ['nullable', 'string', 'max:50']];
    }

    /**
     * What the form sets is proposed for no line.
     *
     * @return array<int, list<string>> by the line of the text, from 1; as "due by friday", "project ~" for what is proposed of a kind
     */
    public function refused(): array
    {
        $refused = $this->byLine('refused');
        $preset = array_map(static fn (string $kind): string => "{$kind} ~", array_values(array_intersect(self::PRESET, explode(' ', $this->string('preset')->toString()))));
        for ($line = $preset === [] ? 0 : substr_count($this->string('lines')->toString(), "\n") + 1; $line > 0; $line--) {
            $refused[$line] = [...$refused[$line] ?? [], ...$preset];
        }

        return $refused;
    }

    /** @return array<int, list<string>> what was proposed and seen, by the line of the text, from 1; as "project catalogue" */
    public function proposed(): array
    {
        return $this->byLine('proposed');
    }

    /** What was typed into a field of one line. */
    public function line(): string
    {
        return trim((string) preg_replace('/\s*\R\s*/u', ' ', $this->string('lines')->toString()));
    }

    /** @return array<int, list<string>> */
    private function byLine(string $field): array
    {
        $entries = [];
        foreach (explode("\n", str_replace("\r", '', $this->string($field)->toString())) as $entry) { // as "1:due by friday"
            if (preg_match('/^(\d{1,4}):(.+)$/u', $entry, $part) === 1) {
                $entries[(int) $part[1]][] = mb_strtolower($part[2]);
            }
        }

        return $entries;
    }
}
