<?php

declare(strict_types=1);

namespace App\Wording;

use Illuminate\Support\HtmlString;

/** Notes in Markdown as HTML: markup in them is shown as text, links are made harmless. */
final class Markdown
{
    public static function html(string $text): HtmlString
    {
        $quiet = error_reporting(error_reporting() & ~E_DEPRECATED); // Parsedown's, not ours
        $html = (new \Parsedown)->setSafeMode(true)->setBreaksEnabled(true)->text($text);
        error_reporting($quiet);

        return new HtmlString(str_replace('<a href="http', '<a rel="noopener noreferrer" href="http', is_string($html) ? (string) preg_replace('/<img[^>]*>/i', '', $html) : ''));
    }
}
