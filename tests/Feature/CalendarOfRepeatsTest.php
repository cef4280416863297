<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Repeats\Calendar;
use App\Wording\Rules;
use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Capture\FirstDay;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Tests\TestCase;

/** Days on which something comes back, and rules in words. */
final class CalendarOfRepeatsTest extends TestCase
{
    use TestTrait;

    private const RULES = [
        'FREQ=DAILY', 'FREQ=WEEKLY;BYDAY=MO', 'FREQ=WEEKLY;BYDAY=TU,TH', 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR', 'FREQ=MONTHLY;BYMONTHDAY=15', 'FREQ=MONTHLY;BYMONTHDAY=-1',
        'FREQ=MONTHLY;BYDAY=1MO', 'FREQ=MONTHLY;BYDAY=-1FR', 'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', 'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=1', 'FREQ=YEARLY;BYMONTH=3;BYMONTHDAY=14',
    ];

    #[Test]
    public function the_first_day_of_a_rule_and_its_first_instance_agree(): void
    {
        $this->limitTo(250)->forAll(Generators::elements(...self::RULES), Generators::choose(0, 1500))->then(static function (string $rule, int $days): void {
            $from = LocalDay::of(2024, 1, 1)->plusDays($days);

            self::assertSame(FirstDay::of($rule, $from)->asString(), Calendar::firstFrom($rule, $from, $from)?->asString(), "{$rule} from {$from->asString()}");
        });
    }

    /** @param  list<string>  $days */
    #[Test]
    #[DataProvider('series')]
    public function days_follow_each_other(string $rule, string $begin, array $days): void
    {
        $found = [];
        $from = LocalDay::fromString($begin);
        while (count($found) < count($days) && ($day = Calendar::firstFrom($rule, LocalDay::fromString($begin), $from)) !== null) {
            $found[] = $day->asString();
            $from = $day->plusDays(1);
        }

        self::assertSame($days, $found);
    }

    /** @return array<string, array{string, string, list<string>}> */
    public static function series(): array
    {
        return [
            'every other week' => ['FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', '2026-03-17', ['2026-03-17', '2026-03-31', '2026-04-14']],
            'over the change to summer time' => ['FREQ=DAILY', '2026-03-28', ['2026-03-28', '2026-03-29', '2026-03-30']],
            'the 31st, where there is one' => ['FREQ=MONTHLY;BYMONTHDAY=31', '2026-01-31', ['2026-01-31', '2026-03-31', '2026-05-31']],
            'leap days' => ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29', '2024-02-29', ['2024-02-29', '2028-02-29']],
            'until a day' => ['FREQ=WEEKLY;BYDAY=MO;UNTIL=20260330', '2026-03-16', ['2026-03-16', '2026-03-23', '2026-03-30']],
            'over the end of the year' => ['FREQ=MONTHLY;BYDAY=-1FR', '2026-11-27', ['2026-11-27', '2026-12-25', '2027-01-29']],
        ];
    }

    #[Test]
    public function a_series_ends_where_it_says(): void
    {
        self::assertNull(Calendar::firstFrom('FREQ=WEEKLY;BYDAY=MO;UNTIL=20260330', LocalDay::of(2026, 3, 16), LocalDay::of(2026, 3, 31)));
        self::assertNull(Calendar::firstFrom('FREQ=DAILY;COUNT=3', LocalDay::of(2026, 3, 1), LocalDay::of(2026, 3, 4)));
        self::assertNull(Calendar::firstFrom('FREQ=NEVER', LocalDay::of(2026, 3, 1), LocalDay::of(2026, 3, 1)));
    }

    #[Test]
    #[DataProvider('words')]
    public function rules_are_said_in_words(string $typed, string $said): void
    {
        $repeat = (new LineParser(LocalDay::of(2026, 3, 11), 620))->parse("x {$typed}")->repeat();

        self::assertSame($said, $repeat?->rule === null ? Rules::afterDone((string) $repeat?->afterDone) : Rules::inWords($repeat->rule));
    }

    /** @return list<array{string, string}> */
    public static function words(): array
    {
        return [
            ['every day', 'every day'], ['every 3 days', 'every 3 days'], ['every weekday', 'every weekday'], ['every mon and thu', 'every week on Mon, Thu'], ['every 2 weeks on tuesday', 'every 2 weeks on Tue'],
            ['every month on the 15th', 'every month on day 15'], ['every month on the last day', 'every month on the last day'], ['every month on the last friday', 'every month on the last Fri'],
            ['every month on the last weekday', 'every month on the last weekday'], ['every year on 14 march', 'every year on 14 March'], ['every week until 30 april', 'every week until 30 April 2026'],
            ['every month on the 1st and 15th', 'every month on the 1st and 15th'], ['on the 22nd and 31st of each month', 'every month on the 22nd and last day'], ['every month on the 30th', 'every month on day 30'], ['every 29 february', 'every year on 29 February'],
            ['every week for 10 times', 'every week, 10 times'], ['3 days after done', '3 days'], ['a month after done', 'a month'],
        ];
    }
}
