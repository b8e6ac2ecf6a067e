<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Form\File\CsvFormReader;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\PlainListReader;
use Gorvan\Core\Form\File\ReadForm as CoreReadForm;
use Gorvan\Core\Form\File\ReferenceCycles;
use Gorvan\Core\Reading\JsonNode;

/** Reads a pasted list, a CSV file or a form file, whichever it is, without saving anything. */
final class ReadForm
{
    /** @throws \Gorvan\Core\Reading\BadInput */
    public function __invoke(string $text, string $fallbackTitle = ''): CoreReadForm
    {
        $read = $this->asItIs($text, $fallbackTitle);
        ReferenceCycles::refuse($read, $text);

        return $read;
    }

    /** With relations that go in a circle, for the audit to tell of. @throws \Gorvan\Core\Reading\BadInput */
    public function asItIs(string $text, string $fallbackTitle = ''): CoreReadForm
    {
        $start = ltrim(JsonNode::withoutByteOrderMark($text));
        $title = trim($fallbackTitle) === '' ? 'Untitled form' : trim($fallbackTitle);

        return match (true) {
            str_starts_with($start, '{'), str_starts_with($start, '[') => (new FormFileReader)->read($text),
            CsvFormReader::recognises($text) => (new CsvFormReader)->read($text, $title),
            default => (new PlainListReader)->read($text, $title),
        };
    }
}
