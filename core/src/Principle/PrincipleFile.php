<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\NotAllowed;

/** `gorvan.principles/1`: a set, and where it bites in the form that is given beside it (docs/formats/principles.md). */
final readonly class PrincipleFile
{
    public const FORMAT = 'gorvan.principles/1';

    /** @param  list<Message>  $warnings */
    private function __construct(public PrincipleSet $set, public Bites $bites, public array $warnings)
    {
    }

    /**
     * @param  Form|null  $form  whose entries the bites name; without one they are kept as they are
     *
     * @throws \Gorvan\Core\Reading\BadInput with the JSON path
     */
    public static function read(string $json, ?Form $form = null): self
    {
        $root = JsonNode::parse($json);
        $format = $root->required('format');
        if ($format->text() !== self::FORMAT) {
            throw NotAllowed::format($format->path, self::FORMAT);
        }
        $set = PrincipleSet::read($root);
        $bites = Bites::read($root->optional('bites'));
        foreach ($bites->all as $at => $bite) {
            if ($set->principle($bite->principle) === null) {
                throw Gone::principle("\$.bites[$at].principle", $bite->principle);
            }
        }

        return new self($set, $bites, [...self::unknown($root), ...self::unused($bites, $form)]);
    }

    /** A set that a file without bites said, as a CSV file does. */
    public static function of(PrincipleSet $set): self
    {
        return new self($set, new Bites, []);
    }

    public static function written(PrincipleSet $set, Bites $bites = new Bites): string
    {
        $data = Fields::beside(['format' => self::FORMAT], get_object_vars($set->toData()));
        if ($bites->all !== []) {
            $data->bites = $bites->toData();
        }

        return json_encode($data, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
    }

    /** @return list<Message> */
    private static function unknown(JsonNode $root): array
    {
        $warnings = $root->unknown(PrincipleSet::KEYS, self::FORMAT);
        foreach ($root->required('principles')->items() as $one) {
            array_push($warnings, ...$one->unknown(Principle::KEYS, self::FORMAT));
        }
        foreach ($root->optional('bites')?->items() ?? [] as $one) {
            array_push($warnings, ...$one->unknown(Bite::KEYS, self::FORMAT));
        }

        return $warnings;
    }

    /** @return list<Message> bites on entries that the form does not have */
    private static function unused(Bites $bites, ?Form $form): array
    {
        $gone = [];
        foreach ($bites->all as $bite) {
            $form !== null && $form->positionOf($bite->entry) === null && $gone[$bite->entry] = $bite->entry;
        }

        return $gone === [] ? [] : [Message::of('principles.bites_gone', count: count($gone), entries: array_values($gone))];
    }
}
