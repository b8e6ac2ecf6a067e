<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Form\FormFileReader;
use Gorvan\Core\Form\PlainListReader;
use Gorvan\Core\Form\ReadForm as CoreReadForm;
use Gorvan\Core\Reading\JsonNode;

/** Reads a pasted list or a form file, whichever it is, without saving anything. */
final class ReadForm
{
    /** @throws \Gorvan\Core\Reading\BadInput */
    public function __invoke(string $text, string $fallbackTitle = ''): CoreReadForm
    {
        $start = ltrim(JsonNode::withoutByteOrderMark($text));

        return str_starts_with($start, '{') || str_starts_with($start, '[')
            ? (new FormFileReader)->read($text)
            : (new PlainListReader)->read($text, $fallbackTitle);
    }
}
