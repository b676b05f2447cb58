<?php

namespace App\Http\Controllers;

use App\Models\Visit;
use App\Records\Judge;
use App\View\CompressorPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class CompressorController extends Controller
{
    public function __construct(private readonly Judge $judge)
    {
    }

    public function show(Request $request, Visit $visit): View
    {
        $class = $request->query('class');

        return view('compressor.show', [
            'page' => new CompressorPage(
                $this->judge->of($visit),
                $request->user()->units(),
                is_string($class) ? $class : null,
            ),
        ]);
    }
}
