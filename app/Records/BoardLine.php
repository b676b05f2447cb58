<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Log\FactKind;
use Metrum\Log\Ground;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Work\Site\CircuitIdentity;

/**
 * A quick line on the board of a rack: "Deli counter: box 4.1" is said of that circuit, "C3: discharge line 96" of that
 * compressor, "LT: header 0.4" of that suction group; without a name what all circuits share is the plant's, and what
 * is not counts for the circuit whose tag was opened last, and is asked back where none was.
 */
final readonly class BoardLine
{
    private const NAME = '/^\s*([^:]{1,120}):\s+(.*)$/us';

    /** "set 0.72" beside a header is the set point of its suction. */
    private const SET = '/(^|[,;\d]\s*)set(?:\s+point)?(?=[\s:=]+-?\d)/iu';

    public string $typed;

    private ?PartId $named;

    public function __construct(private Visit $visit, string $line)
    {
        $isNamed = preg_match(self::NAME, $line, $found) === 1;
        [$name, $rest] = $isNamed ? [$found[1], $found[2]] : ['', $line];
        $this->named = $this->called($name);
        $this->typed = match ($this->named?->kind()) {
            null => $line,
            PartKind::Group => (string) preg_replace(self::SET, '$1suction set', $rest),
            default => $rest,
        };
    }

    private function called(string $name): ?PartId
    {
        $names = $this->visit->wholeRack()->names ?? [];
        foreach ($this->visit->plantAsOpened()->compressors() as $unit) {
            $names += [$unit->part->value => $unit->name];
        }
        foreach ($this->visit->plantAsOpened()->groups as $group) {
            $names += [$group->part->value => $group->label()];
        }
        foreach ($names as $part => $own) {
            if ($own !== '' && mb_strtolower($own) === mb_strtolower(trim($name))) {
                return PartId::of($part);
            }
        }

        return null;
    }

    /** @throws NotAFact where nobody can tell of which circuit it is */
    public function of(Statement $said): Statement
    {
        if ($this->named !== null) {
            return $said->about($this->named->value);
        }
        if ($said->kind === FactKind::Note || Ground::isOfPlant($said)) {
            return $said->about(PartId::plant()->value);
        }
        $tagged = CircuitIdentity::lastTag($this->visit->log());
        if ($tagged !== null) {
            return $said->about($tagged->value);
        }
        $names = array_values($this->visit->wholeRack()->names ?? []);
        $typed = $said->typed === '' ? $said->key : $said->typed;
        throw NotAFact::because("Of which circuit is “{$typed}”? Start with its name, as “{$names[0]}: …”.");
    }
}
