<?php

declare(strict_types=1);

namespace App\Planning;

/** A change of the plan that cannot be made. The message is for the person. */
final class PlanConflict extends \RuntimeException
{
    /** @param  bool  $isOfBlock  it is about the block itself, whatever was asked for it */
    private function __construct(string $message, public readonly bool $isOfBlock = false)
    {
        parent::__construct($message);
    }

    public static function passed(): self
    {
        return new self(__('plan.conflict.passed'));
    }

    public static function anchored(string $title, string $when): self
    {
        return new self(__('plan.conflict.anchored', ['title' => $title, 'when' => $when]));
    }

    public static function changedElsewhere(string $title, string $when): self
    {
        return new self(__('plan.conflict.changed_elsewhere', ['title' => $title, 'when' => $when]), isOfBlock: true);
    }

    public static function gone(): self
    {
        return new self(__('plan.conflict.gone'), isOfBlock: true);
    }

    public static function tooFar(): self
    {
        return new self(__('plan.conflict.too_far'));
    }

    public static function noTime(string $title): self
    {
        return new self(__('plan.conflict.no_time', ['title' => $title]));
    }

    public static function notPlannable(): self
    {
        return new self(__('plan.conflict.not_plannable'));
    }

    public static function tooShortToSplit(int $step): self
    {
        return new self(__('plan.conflict.too_short_to_split', ['minutes' => 2 * $step]));
    }

    public static function nothingToJoin(string $title): self
    {
        return new self(__('plan.conflict.nothing_to_join', ['title' => $title]));
    }

    public static function cannotSwap(): self
    {
        return new self(__('plan.conflict.cannot_swap'));
    }

    public static function beyondPlan(int $days): self
    {
        return new self(__('plan.conflict.beyond_plan', ['days' => $days]));
    }

    public static function notSmall(string $title, int $minutes): self
    {
        return new self(__('plan.conflict.not_small', ['title' => $title, 'minutes' => $minutes]));
    }

    /** @param  list<string>  $titles  of the three */
    public static function allKeys(array $titles): self
    {
        return new self(__('plan.conflict.all_keys', ['titles' => implode(', ', $titles)]));
    }

    public static function notBegun(): self
    {
        return new self(__('plan.conflict.not_begun'));
    }
}
