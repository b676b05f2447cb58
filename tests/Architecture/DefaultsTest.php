<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPStan\Rules\Rule;
use PHPStan\Testing\RuleTestCase;
use Tests\PhpStan\NoDefaultOverVocabulary;

/**
 * A word that is added to a vocabulary is missed by the analysis wherever nobody thought of it.
 *
 * @extends RuleTestCase<NoDefaultOverVocabulary>
 */
final class DefaultsTest extends RuleTestCase
{
    protected function getRule(): Rule
    {
        return new NoDefaultOverVocabulary();
    }

    public function test_a_match_over_a_vocabulary_has_no_silent_default(): void
    {
        $this->analyse([__DIR__.'/../PhpStan/data/vocabulary.php'], [
            ['The match over Tests\PhpStan\Data\Reply has a default: name every word of it.', 15],
        ]);
    }
}
