<?php

declare(strict_types=1);

namespace Tests\Wording;

/** What no text that a person reads may say, and what to say instead: one concept, one word. */
final class BannedWords
{
    /** @var array<string, string> pattern => the word to use */
    public const INSTEAD = [
        '~\bplants?\b~i' => 'system',
        '~\banew\b~i' => 'again',
        '~\bfore(?:told|tells?)\b~i' => 'predicted',
        '~\breckon\w*~i' => 'calculate',
        '~\bseldom\b~i' => 'rarely',
        '~\bshortly\b~i' => 'briefly',
        '~\bmeanwhile\b~i' => 'during that time',
        '~\bthereof\b~i' => 'of it',
        '~\bbegu?n\b~i' => 'started',
        '~\bper cent\b~i' => 'percent',
        '~\d\.0 min\b~u' => 'whole minutes',
        '~\bkelvins\b~i' => 'K',
        '~\bbottles?\b(?! cabinet)~i' => 'cylinder',
        '~\bmakers?\b(?! of)~i' => 'manufacturer',
        '~\bforeign gas\b~i' => 'non-condensables',
        '~\bput(?:s|ting)? (?:it |them )?(?:right|back)\b~i' => 'repair, restore',
        '~\bmend(?:s|ed|ing)?\b~i' => 'repair',
        '~\bback pressure\b~i' => 'suction pressure',
        '~\bthrottl\w+ (?:on|the|before|it)\b~i' => 'restricts',
        '~(?<!to )\bshut\b(?!down)~i' => 'close',
        '~\bloss-free\b~i' => 'isentropic',
        '~\bverdicts?\b~i' => 'diagnosis',
        '~\bchapters?\b~i' => 'change',
        '~\bschools?\b~i' => 'house rule, method',
        '~\bplant bench\b|\bbench\b~i' => 'simulator, calculators',
        '~\bby the book\b~i' => 'on record',
        '~\b(?:take|taken|takes|taking) (?:in|back|out)\b~i' => 'import, undo, recover',
        '~\ball the same\b~i' => 'anyway',
        '~\bnobody\b|\bsomebody\b|\banybody\b~i' => 'no one, someone, anyone',
        '~\bspeaks? (?:for|against)\b~i' => 'evidence for, against',
        '~\bpulled (?:up|down) by\b~i' => 'evidence',
        '~\bleft so\b~i' => 'left as is',
        '~\b(?:it|they|fans?|motor|compressor|clock|head|superheat|receiver|valve) stands?\b~i' => 'is stopped, is at',
        '~\basks? for\b~i' => 'needs',
        '~\b(?:are|is|was) wanted\b|\bwanted (?:is|are)\b~i' => 'target, required, enter',
        '~\bpossible (?:is|are)\b|\bare possible\b~i' => 'enter, choose, limit',
        '~\bwas given\b|\bwere given\b~i' => 'you entered; got',
        '~\bas it should\b|\bshould be, here\b~i' => 'normal, expected',
        '~\bsound (?:plant|system|one|compressor|here)\b~i' => 'healthy',
        '~\bdear\b~i' => 'costly',
        '~\bbeside\b~i' => 'next to, with',
        '~\bbehind (?:it|the (?:drier|valve|regulator|plug))\b~i' => 'after',
        '~\bpipes?\b~i' => 'line',
        '~(?<!sight )(?<!oil )(?<!level )\bglass\b~i' => 'sight glass, oil glass, level glass',
        '~(?<!nitrogen )(?<!pressure )\bregulators?\b~i' => 'EPR, nitrogen regulator',
        '~(?<!defrost )(?<![\'’])\bclocks?\b~i' => 'timer, defrost clock',
        '~\bcards?\b~i' => 'procedure',
        '~\bgaps?\b~i' => 'key figure',
        '~\blook(?:s|ed)? (?:at|for it)\b~i' => 'check',
        '~\btells?\b|\btold\b~i' => 'shows',
        '~\bprov(?:e|ed|en|es)\b(?! dead)~i' => 'confirm, verify',
        '~\bmild(?:ly)? (?:fault|case)\b~i' => 'slight',
        '~\boutdoor (?:part|heat exchanger)\b~i' => 'condenser',
        '~\bsolid liquid\b~i' => 'full liquid',
        '~\bmarked off\b~i' => 'reference visit',
        '~\bnote (?:it|them)\b~i' => 'log',
        '~\bevery gram\b|\bhearsay\b|\bin disguise\b|\bforgives nothing\b~i' => 'plain words',
        '~\bThe \w+ field is required\b|\bThe \w+ (?:field )?must\b~' => 'a message of its own',
    ];

    /** Texts in which one of these is right all the same. At most ten. */
    public const RIGHT = [
        // A part's name in files and on the quick line.
        'plant, condenser, receiver, group, compressor, circuit',
        // Places and people of the demo town.
        'school kitchen', 'the school\'s milk',
        // Names of commands, their options and scripts.
        '--plants=', 'metrum:verdicts', 'bench/looks',
    ];

    /** @return list<string> each banned word of a text, with what to say instead */
    public static function of(string $text): array
    {
        $text = str_replace(self::RIGHT, '', $text);
        $found = [];
        foreach (self::INSTEAD as $pattern => $instead) {
            if (preg_match($pattern, $text, $hit) === 1) {
                $found[] = "“{$hit[0]}” ($instead): ".mb_substr(trim($text), 0, 160);
            }
        }

        return $found;
    }
}
