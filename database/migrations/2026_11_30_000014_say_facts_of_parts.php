<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A fact is of a plant, of one of its parts, and was made on an occasion: a visit, or a day of a ledger, which is no
 * visit. What people called a part becomes its name.
 */
return new class extends Migration
{
    /** What a circuit's part can be; whatever is called otherwise is a part of that name. */
    private const KINDS = '/^(case|coil|valve|regulator|solenoid|fan)( .+)?$/u';

    private const OTHER = 'part ';

    /** What a plant's circuits share stands in no circuit; with this before it where a part can have no other place. */
    private const NO_CIRCUIT = '/';

    /** What stands for the line between two steps of the way to a part within what people called it. */
    private const NO_STEP = '∕';

    public function up(): void
    {
        Schema::rename('visits', 'occasions');
        Schema::table('occasions', function (Blueprint $table): void {
            $table->string('kind', 16)->default('visit');
            $table->index(['kind', 'opened_at']);
        });
        DB::table('occasions')->where('told', 'ledger')->update(['kind' => 'ledger', 'told' => null]);
        Schema::table('facts', function (Blueprint $table): void {
            $table->foreignUlid('plant_id')->nullable()->constrained();
            $table->string('part', 160)->default('');
        });
        $of = static fn (string $column): mixed => DB::raw(
            "(select $column from parts where parts.id = facts.circuit_id)",
        );
        DB::table('facts')->update(['plant_id' => $of('plant_id'), 'part' => $of('part')]);
        $called = DB::table('facts')->where('subject', '!=', '')->distinct()->get(['circuit_id', 'part', 'subject']);
        foreach ($called as $one) {
            DB::table('facts')
                ->where('circuit_id', $one->circuit_id)
                ->where('subject', $one->subject)
                ->update(['part' => self::partOf($one->part, $one->subject)]);
        }
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropIndex(['circuit_id', 'kind', 'key']);
        });
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('circuit_id');
            $table->dropColumn('subject');
            $table->renameColumn('visit_id', 'occasion_id');
        });
        Schema::table('facts', function (Blueprint $table): void {
            $table->index(['plant_id', 'kind', 'key']);
        });
        // They are made anew where they are asked for.
        DB::table('folds')->delete();
    }

    public function down(): void
    {
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropIndex(['plant_id', 'kind', 'key']);
        });
        Schema::table('facts', function (Blueprint $table): void {
            $table->renameColumn('occasion_id', 'visit_id');
            $table->foreignUlid('circuit_id')->nullable()->constrained('parts');
            $table->string('subject', 48)->default('');
        });
        DB::table('facts')->update([
            'circuit_id' => DB::raw('(select circuit_id from occasions where occasions.id = facts.visit_id)'),
        ]);
        foreach (DB::table('facts')->distinct()->get(['plant_id', 'part']) as $one) {
            $of = DB::table('facts')->where('plant_id', $one->plant_id)->where('part', $one->part);
            $circuit = DB::table('parts')
                ->where('plant_id', $one->plant_id)
                ->where('part', explode('/', $one->part)[0])
                ->value('id');
            $is = $circuit === null ? [] : ['circuit_id' => $circuit];
            $of->update(['subject' => self::called($one->part)] + $is);
        }
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('plant_id');
            $table->dropColumn('part');
        });
        Schema::table('facts', function (Blueprint $table): void {
            $table->index(['circuit_id', 'kind', 'key']);
        });
        DB::table('occasions')->where('kind', 'ledger')->update(['told' => 'ledger']);
        Schema::table('occasions', function (Blueprint $table): void {
            $table->dropIndex(['kind', 'opened_at']);
            $table->dropColumn('kind');
        });
        Schema::rename('occasions', 'visits');
        DB::table('folds')->delete();
    }

    private static function partOf(string $circuit, string $subject): string
    {
        return str_starts_with($subject, self::NO_CIRCUIT)
            ? substr($subject, strlen(self::NO_CIRCUIT))
            : $circuit.'/'.self::named($subject);
    }

    private static function named(string $subject): string
    {
        $name = trim((string) preg_replace('/[\s\p{C}]+/u', ' ', str_replace('/', self::NO_STEP, $subject)));

        return preg_match(self::KINDS, $name) === 1 ? $name : self::OTHER.$name;
    }

    /** What people called a part; empty for a circuit itself. */
    private static function called(string $part): string
    {
        $name = preg_replace('/^circuit \d+\/?/', '', $part);
        if ($name === $part) {
            return self::NO_CIRCUIT.$part;
        }
        $own = str_starts_with((string) $name, self::OTHER) ? substr((string) $name, strlen(self::OTHER)) : $name;

        return mb_substr(str_replace(self::NO_STEP, '/', (string) $own), 0, 48);
    }
};
