<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/**
 * Something that does not add up in a form: what, where, and what would put it right.
 */
final readonly class Finding
{
    /** A pin, a rest or a demand says nothing about what is done; a number only matters where numbers are looked at. */
    private const ASIDE = ['cut', 'rest', 'demand', 'number', 'booklet', 'numbers'];

    /**
     * @param  int|null  $position  of the entry it is shown at, null for the whole form
     * @param  Message  $says  one plain sentence
     * @param  list<int>  $about  the positions of all entries it rests on
     * @param  string  $measure  for a finding about the whole form: what was measured
     */
    public function __construct(
        public FindingCode $code,
        public ?int $position,
        public Severity $severity,
        public Message $says,
        public ?Mend $mend = null,
        public array $about = [],
        public string $measure = '',
    ) {
    }

    /**
     * A fingerprint of what the finding rests on. It stays when entries elsewhere change or move, so that what a
     * teacher accepted stays accepted, and is another one as soon as an entry it is about is changed.
     */
    public function grounds(Form $form): string
    {
        $writer = new FormFileWriter;
        $aside = in_array($this->code, [FindingCode::Count, FindingCode::Number], true) ? array_slice(self::ASIDE, 0, 3) : self::ASIDE;
        $rests = array_map(static function (int $position) use ($form, $writer, $aside): array {
            return array_diff_key(get_object_vars($writer->entry($form->at($position))), array_flip($aside));
        }, $this->about === [] && $this->position !== null ? [$this->position] : $this->about);

        return substr(hash('sha256', json_encode([$this->code->value, $rests, $this->measure], JSON_THROW_ON_ERROR)), 0, 16);
    }

    /** The entry it is shown at, or null for the whole form. */
    public function entry(Form $form): ?Entry
    {
        return $this->position === null ? null : $form->at($this->position);
    }
}
