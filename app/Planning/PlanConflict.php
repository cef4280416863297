<?php

declare(strict_types=1);

namespace App\Planning;

/** A change of the plan that cannot be made. The message is for the person. */
final class PlanConflict extends \RuntimeException
{
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
        return new self(__('plan.conflict.changed_elsewhere', ['title' => $title, 'when' => $when]));
    }

    public static function gone(): self
    {
        return new self(__('plan.conflict.gone'));
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
}
