<?php

declare(strict_types=1);

namespace App\Http;

use App\Planning\PlanConflict;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A change of the plan that cannot be made is said where it was made: beside its form, or while a block is in the air. */
final class ConflictAnswer
{
    /** The field that a form shows its error at, by the beginning of the route's name; else the block's start. */
    private const FIELDS = ['reserves.' => 'reserve', 'tasks.place' => 'place', 'work.more' => 'minutes'];

    public static function of(PlanConflict $conflict, Request $request): Response
    {
        if ($request->expectsJson() || $request->routeIs('*.try')) {
            return response()->json(['refused' => $conflict->getMessage()]);
        }
        $field = 'start';
        foreach (self::FIELDS as $beginning => $its) {
            $field = ! $conflict->isOfBlock && str_starts_with((string) $request->route()?->getName(), $beginning) ? $its : $field;
        }

        return back()->withInput()->withErrors([$field => $conflict->getMessage()]);
    }
}
