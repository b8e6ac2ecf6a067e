<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Form;

/** A format a form is written in. */
enum Export: string
{
    case Json = 'json';
    case Csv = 'csv';
    case PlainList = 'list';

    public function write(Form $form): string
    {
        return match ($this) {
            self::Json => (new FormFileWriter)->write($form),
            self::Csv => (new CsvFormWriter)->write($form),
            self::PlainList => (new PlainListWriter)->write($form),
        };
    }

    /**
     * @param  string  $title  of the form, where the file does not say it
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    public function read(string $text, string $title): ReadForm
    {
        return match ($this) {
            self::Json => (new FormFileReader)->read($text),
            self::Csv => (new CsvFormReader)->read($text, $title),
            self::PlainList => (new PlainListReader)->read($text, $title),
        };
    }
}
