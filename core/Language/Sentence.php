<?php

declare(strict_types=1);

namespace Metrum\Language;

use Metrum\Data\Knowledge;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Units;

/**
 * Something that is said: its reason, with what stands in it. It becomes words only where it is known who reads them,
 * in that reader's units.
 */
final readonly class Sentence
{
    private const NAME = '/\{(\w+)(?=[},])/';

    /** A text that knows number or gender. */
    private const CHOOSES = '/\{\w+,\s*(?:plural|select)/';

    /** @param  array<string, Magnitude|string|self|Several>  $with  by the name under which it stands in the text */
    private function __construct(public Message $reason, private array $with)
    {
    }

    /**
     * @param  Magnitude|string|self|Several  ...$with  by name; a text is a word of the trade, or what a person wrote
     *
     * @throws \LogicException where its text wants something else
     */
    public static function of(Message $reason, Magnitude|string|self|Several ...$with): self
    {
        $named = [];
        foreach ($with as $name => $one) {
            $named[(string) $name] = $one;
        }
        $wanted = self::names(self::text($reason));
        $given = array_keys($named);
        sort($given);
        if ($wanted !== $given) {
            throw new \LogicException(
                "{$reason->value} wants ".implode(', ', $wanted).'; given were '.implode(', ', $given),
            );
        }

        return new self($reason, $named);
    }

    /** What a person wrote, or what was put into words already. */
    public static function plain(string $text): self
    {
        return self::of(Reason::Text, text: $text);
    }

    /** As it reads for somebody. */
    public function in(Units $units): string
    {
        $text = Tongue::of(self::text($this->reason), $units->locale);
        if (preg_match(self::CHOOSES, $text) === 1) {
            return $this->chosen($text, $units);
        }
        $told = [];
        foreach ($this->with as $name => $one) {
            $told['{'.$name.'}'] = self::told($one, $units);
        }

        return strtr($text, $told);
    }

    private static function told(Magnitude|string|self|Several $one, Units $units): string
    {
        return is_string($one) ? Tongue::within($one, $units->locale) : $one->in($units);
    }

    /** As its number or gender asks for; a count is handed on as a number, what is chosen by as a bare word. */
    private function chosen(string $text, Units $units): string
    {
        $arguments = [];
        foreach ($this->with as $name => $one) {
            $arguments[$name] = match (true) {
                preg_match('/\{'.$name.',\s*plural/', $text) === 1 && $one instanceof Magnitude => $one->si,
                preg_match('/\{'.$name.',\s*select/', $text) === 1 && is_string($one) => str_replace(' ', '_', $one),
                default => self::told($one, $units),
            };
        }

        return (string) \MessageFormatter::formatMessage($units->locale, $text, $arguments);
    }

    /** What is put into it under a name; null where nothing is. */
    public function amount(string $name): ?Magnitude
    {
        $one = $this->with[$name] ?? null;

        return $one instanceof Magnitude ? $one : null;
    }

    private static function text(Message $reason): string
    {
        return Knowledge::file('sentences')->text((string) $reason->value);
    }

    /** @return list<string> that a text wants, in the order of the alphabet */
    public static function names(string $text): array
    {
        preg_match_all(self::NAME, $text, $found);
        $names = array_values(array_unique($found[1]));
        sort($names);

        return $names;
    }
}
