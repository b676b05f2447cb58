<?php

declare(strict_types=1);

namespace Tests\PhpStan;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Database\Query\Builder as QueryBuilder;
use PHPStan\Reflection\ClassReflection;
use PHPStan\Reflection\MethodReflection;
use PHPStan\Reflection\MethodsClassReflectionExtension;
use PHPStan\Reflection\ReflectionProvider;

/**
 * Tells PHPStan what Eloquent does at run time: a call that a model's builder or a relation forwards to the query
 * builder comes back as that same builder or relation, not as the query builder.
 */
final class ForwardedCalls implements MethodsClassReflectionExtension
{
    public function __construct(private readonly ReflectionProvider $provider)
    {
    }

    public function hasMethod(ClassReflection $classReflection, string $methodName): bool
    {
        return $this->forwarded($classReflection, $methodName) !== null;
    }

    public function getMethod(ClassReflection $classReflection, string $methodName): MethodReflection
    {
        $target = $this->forwarded($classReflection, $methodName) ?? throw new \LogicException($methodName);

        return new ForwardedMethod($target, $classReflection);
    }

    private function forwarded(ClassReflection $from, string $method): ?MethodReflection
    {
        $targets = match (true) {
            $from->is(Relation::class) => [Builder::class, QueryBuilder::class],
            $from->is(Builder::class) => [QueryBuilder::class],
            default => [],
        };
        foreach ($targets as $target) {
            $class = $this->provider->getClass($target);
            if ($class->hasNativeMethod($method)) {
                $found = $class->getNativeMethod($method);

                return $found->isPublic() && str_contains((string) $found->getDocComment(), '@return $this')
                    ? $found
                    : null;
            }
        }

        return null;
    }
}
