<?php

// Asks a copy of the core with words added to it for all that such a word is asked for, and prints each place that
// does not know it, one a line. Usage: additions.php COPY ENUM::WORD…  (see AdditionsTest)

declare(strict_types=1);

use Metrum\Card\Cards;
use Metrum\Data\Knowledge;
use Metrum\Diagnosis\Curves;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Installation\Circuit;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Fault;
use Metrum\Twin\Ailment;

[, $copy] = $argv;
spl_autoload_register(static function (string $class) use ($copy): void {
    $file = $copy.'/core/'.str_replace('\\', '/', substr($class, strlen('Metrum\\'))).'.php';
    if (str_starts_with($class, 'Metrum\\') && is_file($file)) {
        require $file;
    }
});
Knowledge::use(new Knowledge($copy.'/data'));

$tell = static function (string $asked, Closure $ask) use ($copy): void {
    try {
        $ask();
    } catch (Throwable $missing) {
        $file = str_replace($copy.'/', '', $missing->getFile());
        $where = $missing instanceof UnhandledMatchError ? "$file: " : '';
        echo "$asked: $where{$missing->getMessage()}\n";
    }
};
foreach (array_slice($argv, 2) as $word) {
    $case = constant($word);
    foreach ((new ReflectionEnum($case))->getMethods(ReflectionMethod::IS_PUBLIC) as $method) {
        if (! $method->isStatic() && $method->getNumberOfParameters() === 0) {
            $tell("$word->{$method->getName()}()", static fn (): mixed => $method->invoke($case));
        }
    }
    if ($case instanceof Fault) {
        $tell("the catalogue's $word", static fn (): mixed => FaultCatalogue::entry($case));
        $tell("the twin's $word", static fn (): mixed => Ailment::of($case));
        $tell("the curves' $word", static fn (): mixed => Curves::learned());
    }
    if ($case instanceof Kind) {
        $tell("a plain $word", static fn (): mixed => Circuit::plain($case));
    }
}
$tell('the cards', static fn (): mixed => Cards::all());
