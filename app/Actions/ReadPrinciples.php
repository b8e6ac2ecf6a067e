<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use Gorvan\Core\Principle\PrincipleCsv;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;

/** Reads a set of principles from a file, JSON or CSV. */
final class ReadPrinciples
{
    /**
     * @param  string|null  $title  of the set, where the file cannot say it
     * @param  Form|null  $form  whose entries its bites name
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    public function __invoke(string $text, ?string $title, ?Form $form): PrincipleFile
    {
        if (str_starts_with(ltrim(JsonNode::withoutByteOrderMark($text)), '{')) {
            return PrincipleFile::read($text, $form?->placed()->form);
        }
        $title = trim($title ?? '');

        return PrincipleFile::of(PrincipleCsv::read($text, $title === '' ? throw Refused::because(Message::of('principles.title'), 'title') : $title));
    }
}
