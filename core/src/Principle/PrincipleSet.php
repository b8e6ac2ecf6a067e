<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\Prerequisites;
use Gorvan\Core\Reading\Repeated;
use stdClass;

/**
 * The principles of a tradition, in the order in which they are taught. Immutable, and always whole: each id once, every
 * family among its own, what comes before a principle is there, and no principle comes before itself by way of others.
 */
final readonly class PrincipleSet
{
    public const MOST = 60;

    public const MOST_FAMILIES = 12;

    public const KEYS = ['format', 'title', 'about', 'families', 'principles', 'bites'];

    /**
     * @param  string|null  $about  where its wording comes from
     * @param  list<string>  $families
     * @param  list<Principle>  $principles
     * @param  array<string, mixed>  $others
     */
    private function __construct(public string $title, public ?string $about, public array $families, public array $principles, public array $others)
    {
    }

    /**
     * @param  list<string>  $families
     * @param  list<Principle>  $principles
     * @param  array<string, mixed>  $others
     *
     * @throws \Gorvan\Core\Reading\BadInput with the JSON path of what cannot be
     */
    public static function of(string $title, ?string $about, array $families, array $principles, array $others = []): self
    {
        $set = new self($title, $about, $families, $principles, $others);
        $set->check();

        return $set;
    }

    /**
     * What a `gorvan.principles/1` file says beside its bites.
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    public static function read(JsonNode $node): self
    {
        $families = array_map(static fn (JsonNode $one): string => $one->text(), $node->optional('families')?->itemsAtMost(self::MOST_FAMILIES) ?? []);

        return self::of(
            $node->required('title')->text(),
            $node->optional('about')?->text(Fields::LONG),
            array_values(array_unique($families)),
            array_map(Principle::read(...), $node->required('principles')->itemsAtMost(self::MOST)),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'title' => $this->title,
            'about' => $this->about,
            'families' => $this->families,
            'principles' => array_map(static fn (Principle $one): stdClass => $one->toData(), $this->principles),
        ], $this->others);
    }

    public function json(): string
    {
        return json_encode($this->toData(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    public function principle(string $id): ?Principle
    {
        foreach ($this->principles as $one) {
            if ($one->id === $id) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<string> in their order */
    public function ids(): array
    {
        return array_map(static fn (Principle $one): string => $one->id, $this->principles);
    }

    /**
     * The same set under other ids, as a school's record knows its principles.
     *
     * @param  array<string, string>  $ids  by the ids here; one for each principle
     */
    public function identified(array $ids): self
    {
        return new self($this->title, $this->about, $this->families, array_map(
            static fn (Principle $one): Principle => $one->with(['id' => $ids[$one->id], 'after' => array_map(static fn (string $id): string => $ids[$id], $one->after)]),
            $this->principles,
        ), $this->others);
    }

    /** @param  list<Principle>  $principles @throws \Gorvan\Core\Reading\BadInput */
    public function withPrinciples(array $principles): self
    {
        return self::of($this->title, $this->about, $this->families, $principles, $this->others);
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    private function check(): void
    {
        if ($this->principles === []) {
            throw Missing::principles('$.principles');
        }
        $seen = [];
        foreach ($this->principles as $at => $one) {
            $place = "\$.principles[$at]";
            if (isset($seen[$one->id])) {
                throw Repeated::inList("$place.id", $one->id);
            }
            $seen[$one->id] = true;
            if ($one->family !== null && ! in_array($one->family, $this->families, true)) {
                throw $this->families === [] ? NotAllowed::family("$place.family", $one->family) : NotAllowed::wanted("$place.family", $this->families, $one->family);
            }
        }
        foreach ($this->principles as $at => $one) {
            foreach ($one->after as $n => $id) {
                if (! isset($seen[$id])) {
                    throw Gone::principle("\$.principles[$at].after[$n]", $id);
                }
            }
        }
        $circle = Prerequisites::circle($this->after());
        if ($circle !== []) {
            $at = (int) array_search($circle[0], $this->ids(), true);
            throw Contradiction::prerequisitesInACircle("\$.principles[$at].after", array_map(fn (string $id): string => $this->principle($id)->title ?? $id, $circle));
        }
    }

    /** @return array<string, list<string>> what each comes after, by id in the set's order */
    public function after(): array
    {
        return array_map(static fn (Principle $one): array => $one->after, array_column($this->principles, null, 'id'));
    }

    /** A principle and its place in the order, for a sentence. */
    public function named(string $id): Message
    {
        return Message::of('place.principle', title: $this->principle($id)->title ?? $id);
    }
}
