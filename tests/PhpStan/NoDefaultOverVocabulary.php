<?php

declare(strict_types=1);

namespace Tests\PhpStan;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Expr\Match_;
use PhpParser\NodeFinder;
use PhpParser\PrettyPrinter\Standard;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * A match over a vocabulary names every word of it: one that is added later is then missed by the analysis, and does
 * not fall silently into a default. A default that asks the word itself is a general rule and may stand.
 *
 * @implements Rule<Match_>
 */
final class NoDefaultOverVocabulary implements Rule
{
    public function getNodeType(): string
    {
        return Match_::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        $subject = $scope->getType($node->cond);
        $words = $subject->getObjectClassReflections();
        $enums = array_filter($words, static fn ($one): bool => $one->isEnum());
        if ($enums === []) {
            return [];
        }
        foreach ($node->arms as $arm) {
            if ($arm->conds === null && ! self::asks($arm->body, $node->cond)) {
                $names = implode(', ', array_map(static fn ($one): string => $one->getDisplayName(), $enums));

                return [
                    RuleErrorBuilder::message("The match over $names has a default: name every word of it.")
                        ->identifier('metrum.defaultOverVocabulary')
                        ->line($arm->getStartLine())
                        ->build(),
                ];
            }
        }

        return [];
    }

    /** Whether an expression uses another. */
    private static function asks(Expr $body, Expr $subject): bool
    {
        $wanted = (new Standard())->prettyPrintExpr($subject);
        $uses = static fn (Node $one): bool => $one instanceof Expr &&
            (new Standard())->prettyPrintExpr($one) === $wanted;

        return (new NodeFinder())->findFirst([$body], $uses) !== null;
    }
}
