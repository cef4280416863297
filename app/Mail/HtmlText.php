<?php

declare(strict_types=1);

namespace App\Mail;

/** The words of an HTML message, without scripts, styles and markup. */
final class HtmlText
{
    private const MOST = 500_000;

    public static function of(string $html): string
    {
        if (trim($html) === '') {
            return '';
        }
        $document = new \DOMDocument;
        $errors = libxml_use_internal_errors(true);
        $document->loadHTML('<?xml encoding="UTF-8">'.mb_scrub(substr($html, 0, self::MOST)), LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING);
        libxml_clear_errors();
        libxml_use_internal_errors($errors);
        $path = new \DOMXPath($document);
        foreach (iterator_to_array($path->query('//script|//style|//head|//noscript|//template|//comment()') ?: []) as $node) {
            $node instanceof \DOMNode && $node->parentNode?->removeChild($node);
        }
        foreach (iterator_to_array($path->query('//br|//p|//div|//li|//tr|//h1|//h2|//h3|//blockquote') ?: []) as $node) {
            $node instanceof \DOMNode && $node->parentNode?->insertBefore($document->createTextNode($node->nodeName === 'li' ? "\n- " : "\n"), $node);
        }
        $text = (string) preg_replace(['/[ \t\x{A0}]+/u', '/ *\n */', '/\n{3,}/'], [' ', "\n", "\n\n"], $document->textContent);

        return trim($text);
    }
}
