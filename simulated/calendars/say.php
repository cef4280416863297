<?php

declare(strict_types=1);

require __DIR__.'/Shelf.php';

$shelf = new Simulated\Calendars\Shelf((string) getenv('SIMULATED_CALENDARS'));
[, $do, $name] = [...$argv, '', '', ''];
$more = array_slice($argv, 3);
if ($do !== 'list' && ! $shelf->has($name)) {
    fwrite(STDERR, "There is no calendar {$name}. There are: ".implode(', ', $shelf->names())."\n");
    exit(2);
}
$done = match (true) {
    $do === 'list' => tell($shelf),
    $do === 'behave' && in_array($more[0] ?? '', Simulated\Calendars\Shelf::MANNERS, true) => $shelf->behave($name, $more[0]),
    $do === 'add' && count($more) === 4 => $shelf->add($name, ...$more),
    $do === 'move' && count($more) === 2 => $shelf->move($name, $more[0], (int) $more[1]),
    $do === 'cancel' && count($more) === 1 => $shelf->cancel($name, $more[0]),
    $do === 'remove' && count($more) === 1 => $shelf->remove($name, $more[0]),
    $do === 'clear' => $shelf->clear($name),
    default => false,
};
if ($done === false) {
    fwrite(STDERR, "That is not understood: see the head of bin/calendars.\n");
    exit(2);
}

function tell(Simulated\Calendars\Shelf $shelf): void
{
    foreach ($shelf->names() as $name) {
        echo "{$name} ({$shelf->manner($name)})\n";
        foreach ($shelf->meetings($name) as $uid => $summary) {
            echo "    {$summary}  {$uid}\n";
        }
    }
}
