<?php

namespace App\Http\Requests;

use App\Models\AttachmentKind;
use Illuminate\Validation\Rule;

/** A photo or a voice note is announced: what it is of, how long it is, and its hash. */
final class AttachmentRequest extends VisitRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'id' => ['required', 'ulid'],
            'kind' => ['required', Rule::enum(AttachmentKind::class)],
            'about' => ['required', 'string', 'max:200'],
            'of' => ['required', 'string', 'max:200'],
            'caption' => ['nullable', 'string', 'max:240'],
            'bytes' => ['required', 'integer', 'min:1', 'max:'.$this->most()],
            // Empty where the page was not served safely: then its length alone is checked.
            'hash' => ['nullable', 'string', 'regex:/^[0-9a-f]{64}$/'],
        ];
    }

    /** Bytes; where it is of no kind that is refused for itself. */
    private function most(): int
    {
        $kind = AttachmentKind::tryFrom((string) $this->string('kind')) ?? AttachmentKind::Photo;

        return $kind->most();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $most = intdiv($this->most(), 1024 ** 2);

        return ['bytes.max' => "It has {$this->integer('bytes')} bytes; the limit is $most MB. Send a smaller one."];
    }

    /** @return array<string, mixed> the columns of it */
    public function told(): array
    {
        return [
            'id' => strtolower((string) $this->validated('id')),
            'visit_id' => $this->visit()->id,
            'user_id' => $this->user()->id,
            'kind' => $this->validated('kind'),
            'about' => $this->validated('about'),
            'of' => $this->validated('of'),
            'caption' => (string) $this->validated('caption'),
            'bytes' => (int) $this->validated('bytes'),
            'sent_hash' => (string) $this->validated('hash'),
            'taken_at' => $this->making()->at,
        ];
    }
}
