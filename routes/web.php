<?php

use App\Http\Controllers\AttachmentController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BoardController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\ChoiceController;
use App\Http\Controllers\CircuitController;
use App\Http\Controllers\CompressorController;
use App\Http\Controllers\DefrostController;
use App\Http\Controllers\EntryController;
use App\Http\Controllers\FollowUpController;
use App\Http\Controllers\GoodsController;
use App\Http\Controllers\HandbookController;
use App\Http\Controllers\InvitationController;
use App\Http\Controllers\LedgerController;
use App\Http\Controllers\OwnerController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PlantBenchController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\ReplacementController;
use App\Http\Controllers\ReportController;
use App\Http\Controllers\SearchController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SettingsController;
use App\Http\Controllers\SiteController;
use App\Http\Controllers\StockController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TrendController;
use App\Http\Controllers\VisitController;
use App\Http\Controllers\VisitFileController;
use Illuminate\Support\Facades\Route;

Route::view('/offline', 'offline')->name('offline');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SessionController::class, 'store']);
});

Route::get('/calendar/{key}.ics', [CalendarController::class, 'show'])->name('calendar');
Route::get('/owner/{visit}', [OwnerController::class, 'show'])->name('owner');
Route::get('/owner/{visit}/report.pdf', [OwnerController::class, 'pdf'])->name('owner.pdf');
Route::get('/owner/{visit}/photos/{attachment}', [OwnerController::class, 'photo'])->name('owner.photo');
Route::post('/owner/{visit}/choices/{choice}', [OwnerController::class, 'decide'])->name('owner.decide');

Route::get('/invitation/{user}', [InvitationController::class, 'show'])->name('invitation');
Route::post('/invitation/{user}', [InvitationController::class, 'store']);

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('sign-out');
    Route::get('/', [TodayController::class, 'show'])->name('today');
    Route::get('/find', [TodayController::class, 'find'])->name('find');
    Route::get('/search', [SearchController::class, 'show'])->name('search');
    Route::get('/search/{list}.csv', [SearchController::class, 'csv'])->name('search.csv');

    Route::get('/sites/{site}/tags', [SiteController::class, 'tags'])->name('sites.tags');
    Route::get('/circuits/{circuit}/code', [CircuitController::class, 'code'])->name('circuits.code');
    Route::resource('sites', SiteController::class)->except('destroy');
    Route::post('/circuits/{circuit}/again', [CircuitController::class, 'again'])->name('circuits.again');
    Route::post('/circuits/{circuit}/weak-points', [CircuitController::class, 'weakPoint'])->name(
        'circuits.weak-points',
    );
    Route::resource('sites.circuits', CircuitController::class)
        ->shallow()
        ->except(['index', 'destroy']);

    Route::get('/circuits/{circuit}/compare', [RecordController::class, 'compare'])->name('circuits.compare');
    Route::get('/circuits/{circuit}/replacement', [ReplacementController::class, 'show'])->name(
        'circuits.replacement',
    );
    Route::post('/circuits/{circuit}/replacement', [ReplacementController::class, 'store']);
    Route::get('/circuits/{circuit}/figures.csv', [RecordController::class, 'history'])->name('circuits.history');

    Route::get('/circuits/{circuit}/plant', [PlantBenchController::class, 'circuit'])->name('plant.circuit');
    Route::get('/circuits/{circuit}/plant/run', [PlantBenchController::class, 'run']);
    Route::get('/plants/{kind}', [PlantBenchController::class, 'kind'])->name('plant.kind');
    Route::get('/plants/{kind}/run', [PlantBenchController::class, 'runKind']);

    Route::post('/circuits/{circuit}/visits', [VisitController::class, 'store'])->name('visits.store');
    Route::get('/visits/{visit}/choices', [ChoiceController::class, 'show'])->name('visits.choices');
    Route::post('/visits/{visit}/choices', [ChoiceController::class, 'store'])->name('choices.store');
    Route::post('/visits/{visit}/choices/propose', [ChoiceController::class, 'propose'])->name('choices.propose');
    Route::post('/visits/{visit}/choices/send', [ChoiceController::class, 'send'])->name('choices.send');
    Route::put('/choices/{choice}', [ChoiceController::class, 'update'])->name('choices.update');
    Route::delete('/choices/{choice}', [ChoiceController::class, 'destroy'])->name('choices.destroy');
    Route::post('/choices/{choice}/decide', [ChoiceController::class, 'decide'])->name('choices.decide');
    Route::get('/visits/{visit}/report', [ReportController::class, 'show'])->name('visits.report');
    Route::get('/visits/{visit}/report.pdf', [ReportController::class, 'pdf'])->name('visits.pdf');
    Route::get('/visits/{visit}/file.json', [VisitFileController::class, 'show'])->name('visits.file');
    Route::post('/visits/{visit}/close', [VisitController::class, 'close'])->name('visits.close');
    Route::post('/visits/{visit}/ran-well', [VisitController::class, 'ranWell'])->name('visits.ran-well');
    Route::post('/visits/{visit}/reopen', [VisitController::class, 'reopen'])->name('visits.reopen');
    Route::post('/visits/{visit}/entries', [EntryController::class, 'store'])->name('entries.store');
    Route::get('/visits/{visit}/meaning', [EntryController::class, 'meaning'])->name('entries.meaning');
    Route::post('/visits/{visit}/entries/{entry}/undo', [EntryController::class, 'undo'])->name('entries.undo');
    Route::post('/visits/{visit}/follow-ups', [FollowUpController::class, 'store'])->name('follow-ups.store');
    Route::post('/visits/{visit}/attachments', [AttachmentController::class, 'store'])->name('attachments.store');
    Route::post('/attachments/{attachment}/piece', [AttachmentController::class, 'piece'])->name('attachments.piece');
    Route::get('/attachments/{attachment}', [AttachmentController::class, 'show'])->name('attachments.show');
    Route::get('/attachments/{attachment}/file', [AttachmentController::class, 'file'])->name('attachments.file');
    Route::get('/attachments/{attachment}/small', [AttachmentController::class, 'small'])->name('attachments.small');
    Route::put('/attachments/{attachment}', [AttachmentController::class, 'update'])->name('attachments.update');
    Route::delete('/attachments/{attachment}', [AttachmentController::class, 'destroy'])->name('attachments.destroy');
    Route::get('/visits/{visit}/bench', [VisitController::class, 'bench'])->name('visits.bench');
    Route::get('/visits/{visit}/what-if/{question}', [VisitController::class, 'whatIf'])->name(
        'visits.what-if',
    );
    Route::get('/visits/{visit}/trend', [TrendController::class, 'show'])->name('trend');
    Route::post('/visits/{visit}/trend', [TrendController::class, 'store']);
    Route::get('/visits/{visit}/trend/{name}/columns', [TrendController::class, 'columns'])->name('trend.columns');
    Route::post('/visits/{visit}/trend/{name}/columns', [TrendController::class, 'keep']);
    Route::post('/visits/{visit}/trend/{trend}/take', [TrendController::class, 'take'])->name('trend.take');
    Route::post('/visits/{visit}/trend/{trend}/remove', [TrendController::class, 'remove'])->name('trend.remove');
    Route::get('/visits/{visit}/cases', [BoardController::class, 'cases'])->name('visits.cases');
    Route::get('/visits/{visit}/board', [BoardController::class, 'show'])->name('visits.board');
    Route::get('/visits/{visit}/goods', [GoodsController::class, 'show'])->name('visits.goods');
    Route::get('/visits/{visit}/goods.csv', [GoodsController::class, 'table'])->name('visits.goods-csv');
    Route::get('/visits/{visit}/help-sheet', [ReportController::class, 'help'])->name('visits.help-sheet');
    Route::get('/visits/{visit}/handover', [ReportController::class, 'handover'])->name('visits.handover');
    Route::get('/visits/{visit}/compressor', [CompressorController::class, 'show'])->name('visits.compressor');
    Route::post('/visits/{visit}/compressor', [CompressorController::class, 'corners']);
    Route::get('/visits/{visit}/compressor/tried', [CompressorController::class, 'tried'])->name('visits.tried');
    Route::get('/visits/{visit}/why', [VisitController::class, 'why'])->name('visits.why');
    Route::get('/visits/{visit}/{stage?}', [VisitController::class, 'show'])->name('visits.show');
    Route::get('/handbook', [HandbookController::class, 'index'])->name('handbook');
    Route::view('/handbook/words', 'handbook.words')->name('handbook.words');
    Route::get('/handbook/{fault}', [HandbookController::class, 'show'])->name('handbook.show');

    Route::get('/bench/saturation', [BenchController::class, 'saturation'])->name('saturation');
    Route::get('/bench/{calculator?}', [BenchController::class, 'show'])->name('bench');

    Route::get('/refrigerant', [StockController::class, 'index'])->name('stock');
    Route::get('/refrigerant/ledger.csv', [LedgerController::class, 'csv'])->name('ledger.csv');
    Route::get('/refrigerant/ledger.json', [LedgerController::class, 'json'])->name('ledger.json');
    Route::get('/refrigerant/import', [LedgerController::class, 'create'])->name('ledger.import');
    Route::post('/refrigerant/import', [LedgerController::class, 'store']);
    Route::get('/racks/{plant}/defrost', [DefrostController::class, 'show'])->name('defrost.show');
    Route::post('/racks/{plant}/defrost', [DefrostController::class, 'keep'])->name('defrost.keep');
    Route::get('/racks/{plant}/defrost.csv', [DefrostController::class, 'csv'])->name('defrost.csv');
    Route::get('/racks/{plant}/defrost.ics', [DefrostController::class, 'calendar'])->name('defrost.calendar');
    Route::get('/circuits/{circuit}/refrigerant', [LedgerController::class, 'show'])->name('circuits.ledger');
    Route::get('/circuits/{circuit}/tag', [LedgerController::class, 'tag'])->name('circuits.tag');
    Route::get('/circuits/{circuit}/winter', [LedgerController::class, 'winter'])->name('circuits.winter');
    Route::get('/cylinders/create', [StockController::class, 'create'])->name('cylinders.create');
    Route::post('/cylinders', [StockController::class, 'store'])->name('cylinders.store');
    Route::get('/cylinders/{cylinder}', [StockController::class, 'show'])->name('cylinders.show');
    Route::get('/cylinders/{cylinder}/edit', [StockController::class, 'edit'])->name('cylinders.edit');
    Route::put('/cylinders/{cylinder}', [StockController::class, 'update'])->name('cylinders.update');
    Route::post('/cylinders/{cylinder}/weigh', [StockController::class, 'weigh'])->name('cylinders.weigh');
    Route::post('/cylinders/{cylinder}/moves/{move}/undo', [StockController::class, 'undo'])->name('cylinders.undo');

    Route::get('/import', [VisitFileController::class, 'create'])->name('import');
    Route::post('/import', [VisitFileController::class, 'store']);
    Route::get('/import/{import}', [VisitFileController::class, 'progress'])->name('import.progress');
    Route::post('/import/{import}/step', [VisitFileController::class, 'step'])->name('import.step');

    Route::post('/follow-ups/{followUp}/done', [FollowUpController::class, 'done'])->name('follow-ups.done');
    Route::get('/follow-ups/{followUp}/calendar.ics', [FollowUpController::class, 'calendar'])->name(
        'follow-ups.calendar',
    );

    Route::get('/people', [PeopleController::class, 'index'])->name('people');
    Route::post('/people', [PeopleController::class, 'store']);
    Route::put('/people/{user}', [PeopleController::class, 'update'])->name('people.update');
    Route::post('/people/{user}/invite', [PeopleController::class, 'invite'])->name('people.invite');

    Route::put('/password', [PasswordController::class, 'update'])->name('password');
    Route::get('/settings', [SettingsController::class, 'edit'])->name('settings');
    Route::put('/settings', [SettingsController::class, 'update']);
    Route::post('/settings/calendar', [CalendarController::class, 'renew'])->name('calendar.renew');
    Route::post('/settings/workshop/calendar', [CalendarController::class, 'renewWorkshop'])->name(
        'calendar.renew-workshop',
    );
    Route::put('/settings/workshop', [SettingsController::class, 'workshop'])->name('settings.workshop');
    Route::put('/settings/rules', [SettingsController::class, 'rules'])->name('settings.rules');
    Route::post('/settings/theme', [SettingsController::class, 'theme'])->name('settings.theme');
});
