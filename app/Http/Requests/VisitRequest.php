<?php

namespace App\Http\Requests;

use App\Models\Visit;
use App\Records\Making;
use App\View\Board\BoardPage;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Station;
use Metrum\Log\DeviceClock;

/** Something said at an open visit, as a device sends it: with its id and its times, at once or when it can. */
abstract class VisitRequest extends FormRequest
{
    /** What the policy of visits is asked for. */
    protected function ability(): string
    {
        return 'enter';
    }

    final public function authorize(): bool
    {
        Gate::forUser($this->user())->authorize($this->ability(), $this->visit());

        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['nullable', 'ulid'],
            'at' => ['nullable', 'date_format:Y-m-d\TH:i:s.v\Z', 'required_with:sent'],
            'sent' => ['nullable', 'date_format:Y-m-d\TH:i:s.v\Z', 'required_with:at'],
            // What the device counts besides, so that its clock alone does not say what came first.
            'device' => ['nullable', 'string', 'alpha_num:ascii', 'max:32', 'required_with:count'],
            'count' => ['nullable', 'integer', 'min:1', 'max:9000000000000', 'required_with:device'],
            'stage' => ['nullable', 'string', 'max:16'],
            'card' => ['nullable', 'string', 'max:48'],
            'card_of' => ['nullable', 'string', 'max:160'],
            'part' => ['nullable', 'string', 'max:160'],
        ];
    }

    /** What waited on a device since parts had no name of their own says the same under another key. */
    protected function prepareForValidation(): void
    {
        if ($this->has('subject') && ! $this->has('part')) {
            $this->merge(['part' => $this->input('subject')]);
        }
    }

    /** The station to answer for, where the request does not say. */
    protected function usual(): Station
    {
        return Station::Gauges;
    }

    final public function visit(): Visit
    {
        $visit = $this->route('visit');
        assert($visit instanceof Visit);

        return $visit;
    }

    /** When it was entered, in the order in which its device made it. */
    final public function making(): Making
    {
        $count = $this->validated('count');
        $made = new Making($this->moment(), $this->validated('device'), $count === null ? null : (int) $count);

        return $made->inOrder($this->visit());
    }

    /** Seconds that the device's clock is ahead of this one; null where it does not say. */
    final public function clockOff(): ?int
    {
        $sent = $this->validated('sent');

        return is_string($sent) ? Carbon::parse($sent)->getTimestamp() - now()->getTimestamp() : null;
    }

    private function moment(): \DateTimeImmutable
    {
        $clock = new DeviceClock(
            $this->visit()->opened_at->toDateTimeImmutable(),
            now()->toDateTimeImmutable(),
        );
        $at = $this->validated('at');
        $sent = $this->validated('sent');

        return $clock->moment(
            is_string($at) ? Carbon::parse($at) : null,
            is_string($sent) ? Carbon::parse($sent) : null,
        );
    }

    /** @return array<string, mixed> the card that is open and stays open, with the part of the circuit it is about */
    public function card(): array
    {
        $of = $this->validated('card_of') ?? $this->validated('part');

        return ['card' => $this->validated('card'), 'part' => $of];
    }

    /** @return array<int|string, mixed> the page that it was said on, as its address has it */
    final public function shown(): array
    {
        return [$this->visit(), $this->station()->value, ...array_filter($this->card())];
    }

    /** The circuit of the part that it is about; null where it names none. */
    final public function circuitSaid(): ?PartId
    {
        try {
            return PartId::of((string) $this->validated('part'))->ofCircuit();
        } catch (NoPart) {
            return null;
        }
    }

    /** Whether it was said on the board of the plant. */
    final public function isOfBoard(): bool
    {
        return $this->validated('stage') === BoardPage::PAGE;
    }

    final public function station(): Station
    {
        return Station::tryFrom((string) $this->validated('stage')) ?? $this->usual();
    }
}
