<?php

namespace App\Http\Requests;

use App\Models\FactRecord;
use Metrum\Log\Fact;

final class UndoRequest extends VisitRequest
{
    /** The fact of this visit that is taken back; another visit's is not found. */
    public function fact(): Fact
    {
        $id = $this->route('entry');

        $record =
            FactRecord::query()->where('occasion_id', $this->visit()->id)->where('id', $id)->first() ??
            abort(404, 'This entry is not in the log of this visit.');

        return $record->fact();
    }
}
