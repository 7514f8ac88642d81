<?php

declare(strict_types=1);

namespace Rheacid\Find;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;

/**
 * Finds batches, instruments, bottles, products, methods, people, deviations, notes and pages by the words that people use.
 * Each word typed has to begin a word of what is found, in any order; where nothing has such a word, one letter of it may be wrong.
 */
final readonly class Search
{
    /** Longer texts are cut. */
    public const LONGEST = 80;

    /** Shown while somebody types, and of each kind on the page. */
    private const AT_A_GLANCE = 8;
    private const OF_EACH = 20;

    /** Words that are looked for. */
    private const WORDS = 5;

    /** Of one word, the newest so many things are looked through for the other words. */
    private const LOOKED_THROUGH = 400;

    private const SPELLINGS = 3;

    /**
     * @param array<string, list<Hit>> $groups by heading, in the order in which they are shown
     * @param string|null $only address, where the text is the whole code of one thing or the only thing found
     * @param bool $isPartial whether older things may have been missed
     */
    private function __construct(public string $asked, public array $groups, public ?string $only, public bool $isPartial) {}

    public static function for(string $text): self
    {
        $text = mb_substr(trim($text), 0, self::LONGEST);
        $words = array_slice(Words::of($text), 0, self::WORDS);
        $asTyped = array_map(static fn(string $word): array => [$word], $words);
        // "Q-3" is the beginning of a code, of which no word begins with 3.
        $asCode = [[substr(Words::code($text), 0, Words::LONGEST)]];
        $isPartial = false;
        $groups = [];
        foreach ($words === [] ? [] : [$asTyped, $asCode, null] as $terms) {
            [$rows, $isPartial] = self::rows($terms ?? array_map(self::spelt(...), $words));
            $groups = self::groups($rows);
            $pages = Doors::matching($words, $terms === null);
            if ($pages !== []) {
                $groups['Pages'] = $pages;
            }
            if ($groups !== []) {
                break;
            }
        }
        $all = array_merge(...array_values($groups));

        return new self($text, $groups, self::byCode($text) ?? (count($all) === 1 ? $all[0]->url : null), $isPartial);
    }

    public function count(): int
    {
        return array_sum(array_map(count(...), $this->groups));
    }

    /** @return array<string, list<Hit>> the first few, something of each group before more of one */
    public function atAGlance(): array
    {
        $shown = [];
        for ($nth = 0, $left = self::AT_A_GLANCE; $left > 0 && $nth < self::OF_EACH; $nth++) {
            foreach ($this->groups as $heading => $hits) {
                if (isset($hits[$nth]) && $left-- > 0) {
                    $shown[$heading][] = $hits[$nth];
                }
            }
        }

        return array_replace(array_intersect_key($this->groups, $shown), $shown);
    }

    /** @return string|null address of the one thing that has this code */
    private static function byCode(string $text): ?string
    {
        $code = Words::code($text);
        $found
            = $code === ''
                ? []
                : DB::table('found_things')
                    ->where('code', $code)
                    ->whereIn('part', self::parts())
                    ->limit(2)
                    ->get(['part', 'leads_to'])
                    ->all();

        return count($found) === 1 ? self::url($found[0]) : null;
    }

    /** @return list<string> under which a word is looked for: as it is typed, or as it may have been meant; none if nothing is like it */
    private static function spelt(string $word): array
    {
        if (DB::table('found_terms')->where('term', $word)->exists()) {
            return [$word];
        }
        $near = Words::canBeMisspelt($word)
            ? DB::table('found_spellings')
                ->whereIn('variant', Words::variants($word))
                ->distinct()
                ->orderBy('word')
                ->limit(self::LOOKED_THROUGH)
                ->pluck('word')
                ->all()
            : [];

        return array_slice(
            array_values(array_filter($near, static fn(mixed $one): bool => is_string($one) && Words::isOneLetterApart($word, $one))),
            0,
            self::SPELLINGS,
        );
    }

    /**
     * @param list<list<string>> $terms of each word
     *
     * @return array{list<\stdClass>, bool} part and id, the newest first; whether older ones may have been missed
     */
    private static function rows(array $terms): array
    {
        if ($terms === [] || in_array([], $terms, true)) {
            return [[], false];
        }
        // The word that the fewest things have leads; the others are looked up for each of those.
        $common = array_map(self::upToTheBound(...), $terms);
        asort($common);
        $leading = (int) array_key_first($common);
        $others = array_diff_key($terms, [$leading => true]);
        $query = null;
        foreach (self::parts() as $part) {
            foreach ($terms[$leading] as $term) {
                $newest = DB::table('found_terms')
                    ->where('term', $term)
                    ->where('part', $part)
                    ->orderByDesc('is_live')
                    ->orderByDesc('at')
                    ->orderByDesc('thing_id')
                    ->limit($others === [] ? self::OF_EACH : self::LOOKED_THROUGH);
                $one = DB::query()->fromSub($newest, 'one')->select('part', 'thing_id', 'is_live', 'at');
                foreach ($others as $spellings) {
                    $one->whereExists(
                        static fn(Builder $other) => $other
                            ->from('found_terms as other')
                            ->whereColumn('other.part', 'one.part')
                            ->whereColumn('other.thing_id', 'one.thing_id')
                            ->whereIn('other.term', $spellings),
                    );
                }
                $one->limit(self::OF_EACH);
                $query = $query === null ? $one : $query->unionAll($one);
            }
        }
        $rows = $query === null ? [] : array_values($query->get()->all());

        return [$rows, $others !== [] && $common[$leading] > self::LOOKED_THROUGH];
    }

    /** @param list<string> $terms */
    private static function upToTheBound(array $terms): int
    {
        return DB::query()
            ->fromSub(
                DB::table('found_terms')
                    ->select('term')
                    ->whereIn('term', $terms)
                    ->limit(self::LOOKED_THROUGH + 1),
                'some',
            )
            ->count();
    }

    /**
     * @param list<\stdClass> $rows
     *
     * @return array<string, list<Hit>> by heading, in the order in which they are shown
     */
    private static function groups(array $rows): array
    {
        $ids = [];
        foreach ($rows as $row) {
            $ids[(string) $row->part][] = $row->thing_id;
        }
        // One query for all groups, however many of them have hits.
        $query = null;
        foreach ($ids as $part => $some) {
            $things = DB::table('found_things')
                ->where('part', $part)
                ->whereIn('thing_id', $some)
                ->orderByDesc('is_live')
                ->orderByDesc('at')
                ->orderByDesc('thing_id')
                ->limit(self::OF_EACH);
            $things = DB::query()->fromSub($things, 'some')->select('part', 'title', 'detail', 'leads_to');
            $query = $query === null ? $things : $query->unionAll($things);
        }
        $found = $query === null ? [] : $query->get()->groupBy('part')->all();
        $groups = [];
        foreach (Part::cases() as $part) {
            foreach ($found[$part->value] ?? [] as $thing) {
                $groups[$part->heading()][] = new Hit((string) $thing->title, (string) $thing->detail, self::url($thing));
            }
        }

        return $groups;
    }

    private static function url(\stdClass $thing): string
    {
        return Part::from((string) $thing->part)->url(is_numeric($thing->leads_to) ? (int) $thing->leads_to : 0);
    }

    /** @return list<string> what the person may find: people are looked up by leads */
    private static function parts(): array
    {
        return array_column(
            array_filter(Part::cases(), static fn(Part $part): bool => $part !== Part::Person || Gate::allows(Right::Lead->value)),
            'value',
        );
    }
}
