<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const STEP = 1000;

    /** Every row, id and order stays; what only some kinds need moves into data. */
    public function up(): void
    {
        Schema::rename('entries', 'facts');
        Schema::table('facts', function (Blueprint $table): void {
            $table->foreignUlid('circuit_id')->nullable()->constrained();
            $table->string('subject', 48)->default('');
            $table->json('data')->nullable();
        });
        DB::table('facts')->update([
            'circuit_id' => DB::raw('(select circuit_id from visits where visits.id = facts.visit_id)'),
        ]);
        DB::table('facts')
            ->orderBy('seq')
            ->chunkById(
                self::STEP,
                function ($rows): void {
                    foreach ($rows as $row) {
                        DB::table('facts')
                            ->where('seq', $row->seq)
                            ->update(['data' => json_encode((object) self::data($row))]);
                    }
                },
                'seq',
            );
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropColumn(['typed', 'unit', 'supersedes']);
        });
    }

    public function down(): void
    {
        Schema::table('facts', function (Blueprint $table): void {
            $table->text('typed')->nullable();
            $table->string('unit', 16)->nullable();
            $table->ulid('supersedes')->nullable();
        });
        DB::table('facts')
            ->orderBy('seq')
            ->chunkById(
                self::STEP,
                function ($rows): void {
                    foreach ($rows as $row) {
                        $data = json_decode((string) $row->data, true) ?? [];
                        DB::table('facts')
                            ->where('seq', $row->seq)
                            ->update([
                                'typed' => $data['typed'] ?? ($data['text'] ?? ($data['reason'] ?? null)),
                                'unit' => $data['unit'] ?? null,
                                'supersedes' => $data['of'] ?? null,
                            ]);
                    }
                },
                'seq',
            );
        Schema::table('facts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('circuit_id');
            $table->dropColumn(['subject', 'data']);
        });
        Schema::rename('facts', 'entries');
    }

    /** @return array<string, string> */
    private static function data(object $row): array
    {
        $typed = match ($row->kind) {
            'note' => 'text',
            'reading' => 'typed',
            default => 'reason',
        };

        return array_filter(
            [$typed => $row->typed, 'unit' => $row->unit, 'of' => $row->supersedes],
            static fn (?string $one): bool => $one !== null && $one !== '',
        );
    }
};
