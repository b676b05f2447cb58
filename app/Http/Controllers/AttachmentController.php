<?php

namespace App\Http\Controllers;

use App\Http\Requests\AttachmentChange;
use App\Http\Requests\AttachmentRequest;
use App\Models\Attachment;
use App\Models\Visit;
use App\Records\Attachments\AttachmentFiles;
use App\Records\Attachments\AttachmentIntake;
use App\Records\Attachments\NotKept;
use App\View\AttachmentPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Photos and voice notes: announced, sent in pieces, seen by who may see their visit. */
final class AttachmentController extends Controller
{
    /** s that a browser may keep one: it never changes, but it may be removed. */
    private const KEPT = 3600;

    public function __construct(
        private readonly AttachmentIntake $intake,
        private readonly AttachmentFiles $files,
    ) {
    }

    public function store(AttachmentRequest $request, Visit $visit): JsonResponse
    {
        try {
            $one = $this->intake->begin($request->told());
        } catch (NotKept $reason) {
            return response()->json(['message' => $reason->getMessage()], 422);
        }

        return self::come($one, $one->ready_at === null ? $one->received : $one->bytes);
    }

    /** One piece, which begins so many bytes from the start. */
    public function piece(Request $request, Attachment $attachment): JsonResponse
    {
        $this->authorize('send', $attachment);
        $piece = $request->getContent();
        $from = (int) $request->header('X-From');
        if (strlen($piece) > AttachmentIntake::PIECE) {
            return response()->json(['message' => 'A piece may have '.AttachmentIntake::PIECE.' bytes.'], 413);
        }
        try {
            $come = $this->intake->take($attachment, $from, $piece);
        } catch (NotKept $reason) {
            return response()->json(['message' => $reason->getMessage()], 422);
        }

        return self::come($attachment, $come);
    }

    private static function come(Attachment $one, int $come): JsonResponse
    {
        return response()->json(['come' => $come, 'ready' => $one->ready_at !== null]);
    }

    public function show(Request $request, Attachment $attachment): View
    {
        $this->authorize('view', $attachment);

        return view('attachments.show', ['page' => new AttachmentPage($attachment, $request->user())]);
    }

    public function file(Attachment $attachment): Response
    {
        $this->authorize('view', $attachment);

        return $this->bytes($attachment, $this->files->read($attachment), $attachment->mime);
    }

    public function small(Attachment $attachment): Response
    {
        $this->authorize('view', $attachment);
        abort_unless($attachment->isPhoto(), 404);

        return $this->bytes($attachment, $this->files->read($attachment, small: true), $attachment->mime);
    }

    private function bytes(Attachment $one, ?string $bytes, string $mime): Response
    {
        if ($bytes === null) {
            abort(404);
        }

        return new Response($bytes, 200, [
            'Content-Type' => $mime,
            'Content-Length' => (string) strlen($bytes),
            'Content-Disposition' => 'inline; filename="'.$one->id.'"',
            'Cache-Control' => 'private, max-age='.self::KEPT,
        ]);
    }

    public function update(AttachmentChange $request, Attachment $attachment): RedirectResponse
    {
        $this->authorize('update', $attachment);
        $attachment->update($request->changed());

        return redirect()->route('attachments.show', $attachment)->with('said', 'Saved.');
    }

    public function destroy(Request $request, Attachment $attachment): RedirectResponse
    {
        $this->authorize('delete', $attachment);
        $why = $request->validate(['why' => ['required', 'string', 'max:240']])['why'];
        $attachment->update(['removed_at' => now(), 'removed_by' => $request->user()->id, 'removed_why' => $why]);
        $this->files->remove($attachment);

        return redirect()->to($attachment->visit->address())->with('said', 'Deleted. The reason is on record.');
    }
}
