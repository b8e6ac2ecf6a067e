<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

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
     * What would not come back, one sentence each: the file is written, read again and compared, so that nothing is
     * forgotten here.
     *
     * @return list<string>
     *
     * @throws \Gorvan\Core\Reading\BadInput when what was written cannot be read again at all
     */
    public function losses(Form $form): array
    {
        $text = $this->write($form);
        $read = match ($this) {
            self::Json => (new FormFileReader)->read($text),
            self::Csv => (new CsvFormReader)->read($text, $form->title),
            self::PlainList => (new PlainListReader)->read($text),
        };
        $again = $read->form;
        $losses = $this === self::Csv ? ['the title of the form, which is the name of the file'] : [];
        if ($this === self::PlainList) {
            $losses[] = 'the ids of its entries; import it over the form it came from and they are found again';
            $again = self::sameIds($form, $again);
        }
        $difference = FormDifference::between($form, $again);
        if ($difference->isStructural()) {
            $losses[] = 'the order or number of its entries: '.$form->count().' are written, '.$again->count().' are read';
        }
        foreach ($difference->form as $change) {
            $losses[] = str_replace('_', ' ', $change->field).' of the form';
        }
        foreach ($difference->counts() as $field => $count) {
            $losses[] = str_replace('_', ' ', $field).' of '.($count === 1 ? '1 entry' : "$count entries");
        }

        return $losses;
    }

    private static function sameIds(Form $form, Form $again): Form
    {
        if ($form->count() !== $again->count()) {
            return $again;
        }
        $new = static fn (?string $id): ?string => $id === null ? null : $form->entries[($again->positionOf($id) ?? 1) - 1]->id;

        return $again->with(['entries' => array_map(
            static fn (Entry $entry, Entry $was): Entry => $entry->with(['id' => $was->id, 'returns' => $new($entry->returns), 'mirrors' => $new($entry->mirrors)]),
            $again->entries,
            $form->entries,
        )]);
    }
}
