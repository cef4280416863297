<?php

declare(strict_types=1);

namespace App\Find;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Text\Folded;

/** Finds tasks, their steps and files, projects, messages, meetings and their notes: by words, parts of them, and misspelt ones; without regard to accents and capitals. */
final class Search
{
    private const MOST = 80;

    private const WORDS = 8;

    /** So many of the index's best are looked at closely. */
    private const LOOKED_AT = 300;

    /** Rows whose titles are gone through where the index finds nothing. */
    private const GONE_THROUGH = 5_000;

    /** What shares less than this of a word's groups of three letters is something else. */
    private const LIKE = 0.5;

    /** @return list<array{kind: string, id: int, title: string, body: string}> the best first */
    public function __invoke(User $user, string $words): array
    {
        $words = array_slice(Folded::words(mb_substr($words, 0, 200)), 0, self::WORDS);
        $long = array_values(array_filter($words, static fn (string $word): bool => mb_strlen($word) >= 3));
        if ($words === []) {
            return [];
        }
        $found = self::scored($this->rows($user, $long, $words), $words);
        if ($found === []) {
            $found = self::scored($this->misspelt($user, $words), $words);
        }
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0] ?: $b[1]['id'] <=> $a[1]['id']);

        return self::there($user, array_column(array_slice($found, 0, self::MOST), 1));
    }

    /**
     * Meetings that are gone from their calendar, and were never held, are not found.
     *
     * @param  list<array{kind: string, id: int, title: string, body: string}>  $found
     * @return list<array{kind: string, id: int, title: string, body: string}>
     */
    private static function there(User $user, array $found): array
    {
        $meetings = array_column(array_filter($found, static fn (array $one): bool => $one['kind'] === 'meetings'), 'id');
        $there = $meetings === [] ? [] : $user->occurrences()->whereIn('meeting_id', $meetings)->distinct()->pluck('meeting_id')->all();

        return array_values(array_filter($found, static fn (array $one): bool => $one['kind'] !== 'meetings' || in_array($one['id'], $there, true)));
    }

    /**
     * @param  list<string>  $long  words that the index can find
     * @param  list<string>  $words
     * @return list<\stdClass>
     */
    private function rows(User $user, array $long, array $words): array
    {
        if ($long === []) { // too short for the index
            return array_values(DB::select('select rowid, kind, title, body, words, more from search where search match ? and words like ? order by rowid desc limit '.self::LOOKED_AT, [self::ownedBy($user), '%'.$words[0].'%']));
        }
        $exact = implode(' AND ', array_map(static fn (string $word): string => "{words more} : \"{$word}\"", $long));
        $rows = DB::select('select rowid, kind, title, body, words, more from search where search match ? and user_id = ? order by rowid desc limit '.self::LOOKED_AT, [self::ownedBy($user, $exact), $user->id]);
        if (count($rows) >= self::MOST) {
            return array_values($rows);
        }
        $parts = array_unique(array_merge(...array_map(self::groups(...), $long)));
        $any = implode(' OR ', array_map(static fn (string $part): string => "\"{$part}\"", array_slice($parts, 0, 24)));
        $known = array_flip(array_column($rows, 'rowid'));

        return [...$rows, ...array_filter(
            DB::select('select rowid, kind, title, body, words, more from search where search match ? and user_id = ? order by rank limit '.self::LOOKED_AT, [self::ownedBy($user, "{words more} : ({$any})"), $user->id]),
            static fn (\stdClass $row): bool => ! isset($known[$row->rowid]),
        )];
    }

    /**
     * A slip in a short word leaves no group of three letters that the index could find: the titles of the newest rows
     * are gone through, each different word of theirs once.
     *
     * @param  list<string>  $words
     * @return list<\stdClass>
     */
    private function misspelt(User $user, array $words): array
    {
        $short = array_filter($words, static fn (string $word): bool => mb_strlen($word) >= 4 && mb_strlen($word) <= 6);
        $near = $ids = [];
        foreach ($short === [] ? [] : DB::cursor('select rowid, words from search where search match ? order by rowid desc limit '.self::GONE_THROUGH, [self::ownedBy($user)]) as $row) {
            foreach (explode(' ', (string) $row->words) as $other) {
                $near[$other] ??= array_filter($short, static fn (string $word): bool => self::isSlip($word, $other)) !== [];
                if ($near[$other]) {
                    $ids[] = (int) $row->rowid;
                    break;
                }
            }
            if (count($ids) >= self::LOOKED_AT) {
                break;
            }
        }

        return $ids === [] ? [] : array_values(DB::select('select rowid, kind, title, body, words, more from search where rowid in ('.implode(',', $ids).')'));
    }

    /** A question to the index about one account's words alone. */
    public static function ownedBy(User $user, string $match = ''): string
    {
        return "owner : \"u{$user->id}u\"".($match === '' ? '' : " AND {$match}");
    }

    /**
     * @param  list<\stdClass>  $rows
     * @param  list<string>  $words
     * @return list<array{float, array{kind: string, id: int, title: string, body: string}}>
     */
    private static function scored(array $rows, array $words): array
    {
        $found = [];
        foreach ($rows as $row) {
            $score = self::score($words, (string) $row->words, (string) $row->more);
            if ($score > 0) {
                $found[] = [$score, ['kind' => (string) $row->kind, 'id' => intdiv((int) $row->rowid, 8), 'title' => (string) $row->title, 'body' => self::around((string) $row->body, $words)]];
            }
        }

        return $found;
    }

    /**
     * How well all of the words are met: in the title counts more than in the text. 0 if one is missing.
     *
     * @param  list<string>  $words
     */
    private static function score(array $words, string $title, string $body): float
    {
        $score = 0.0;
        foreach ($words as $word) {
            $best = max(2 * self::likeness($word, $title), self::likeness($word, $body));
            if ($best === 0.0) {
                return 0.0;
            }
            $score += $best;
        }

        return $score;
    }

    /** 1 if the text has the word, less the fewer of its groups of letters the likest word has; 0 below a half. */
    private static function likeness(string $word, string $text): float
    {
        if (str_contains($text, $word)) {
            return preg_match('/(?<!\p{L})'.preg_quote($word, '/').'/u', $text) === 1 ? 1.0 : 0.9;
        }
        if (mb_strlen($word) < 4) {
            return 0.0;
        }
        $groups = self::groups(" {$word} ");
        $best = 0.0;
        foreach (array_unique(preg_split('/[^\p{L}\p{N}]+/u', mb_substr($text, 0, 4000)) ?: []) as $other) {
            if (abs(mb_strlen($other) - mb_strlen($word)) <= 3) {
                $others = self::groups(" {$other} ");
                $shared = 2 * count(array_intersect($groups, $others)) / max(1, count($groups) + count($others));
                $best = max($best, $shared, self::isSlip($word, $other) ? 0.6 : 0.0);
            }
        }

        return $best >= self::LIKE ? 0.8 * $best : 0.0;
    }

    /** One letter wrong, missing or too many, of long words two; or two letters that changed places. */
    private static function isSlip(string $word, string $other): bool
    {
        if (abs(strlen($word) - strlen($other)) > 2) {
            return false;
        }
        $away = levenshtein(substr($word, 0, 60), substr($other, 0, 60));

        return $away <= (mb_strlen($word) >= 7 ? 2 : 1) || ($away === 2 && count_chars($word, 1) === count_chars($other, 1));
    }

    /** @return list<string> */
    private static function groups(string $word): array
    {
        $groups = [];
        for ($i = 0, $last = mb_strlen($word) - 3; $i <= $last; $i++) {
            $groups[] = mb_substr($word, $i, 3);
        }

        return $groups;
    }

    /**
     * The piece of a text in which the words stand.
     *
     * @param  list<string>  $words
     */
    private static function around(string $text, array $words): string
    {
        $text = trim((string) preg_replace('/\s+/u', ' ', $text));
        foreach ($words as $word) {
            $at = mb_strpos(Folded::of($text), $word);
            if ($at !== false) {
                return ($at > 40 ? '… ' : '').mb_substr($text, max(0, $at - 40), 120);
            }
        }

        return mb_substr($text, 0, 120);
    }
}
