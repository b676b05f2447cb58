<?php

namespace App\View;

use App\Models\Circuit;
use App\Models\Site;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Kind;
use Metrum\Installation\SystemKey;
use Metrum\Installation\Usual;
use Metrum\Quantity\Units;

/** The form of a circuit: what stands in each field, and what is usual for its kind. */
final readonly class CircuitForm
{
    private Usual $usual;

    /** @var array<string, mixed> */
    private array $system;

    /** @var array<string, float|int> */
    private array $design;

    /** @param  ?Circuit  $circuit  null: a new one, filled in as is usual */
    public function __construct(
        public Site $site,
        public ?Circuit $circuit,
        public Kind $kind,
        public Units $units,
    ) {
        $this->usual = $kind->usual();
        $this->system = $circuit === null ? $this->usual->system : $circuit->systemWords();
        $this->design = $circuit === null ? $this->usual->design : $circuit->designWords();
    }

    /** @return array<int, SystemKey> what says something of such a plant */
    private function keys(): array
    {
        return array_filter(SystemKey::cases(), fn (SystemKey $key): bool => $key->isOf($this->kind->load()));
    }

    /** @return list<DesignKey> what is planned for such a plant */
    public function planned(): array
    {
        return array_values(
            array_filter(DesignKey::cases(), fn (DesignKey $key): bool => $key->isOf($this->kind->load())),
        );
    }

    /** @return list<SystemKey> answered by one of several words */
    public function picks(): array
    {
        return array_values(
            array_filter($this->keys(), static fn (SystemKey $key): bool => ! $key->isFlag()),
        );
    }

    /** @return list<SystemKey> answered by yes or no */
    public function flags(): array
    {
        return array_values(
            array_filter($this->keys(), static fn (SystemKey $key): bool => $key->isFlag()),
        );
    }

    public function word(SystemKey $key): string
    {
        $word = $this->system[$key->value] ?? '';

        return is_bool($word) ? ($word ? 'yes' : 'no') : (is_string($word) ? $word : '');
    }

    /** "usual: Off-cycle (air)" */
    public function usualWord(SystemKey $key): ?string
    {
        $word = $this->usual->word($key);
        if ($word === null || $key === SystemKey::Kind) {
            return null;
        }

        return 'default: '.($key->choices()[$word] ?? $word);
    }

    public function figure(DesignKey $key): string
    {
        $value = $this->design[$key->value] ?? null;
        $field = $key->field();

        return $value === null
            ? ''
            : $this->units->number($field->fileUnit()->toSi((float) $value), $field->kind);
    }

    public function usualFigure(DesignKey $key): ?string
    {
        $value = $this->usual->value($key);

        return $value === null ? null : 'default: '.$this->units->number($value, $key->field()->kind);
    }
}
