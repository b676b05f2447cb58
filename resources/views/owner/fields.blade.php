<label>Title <input name="title" required maxlength="120" value="{{ $choice->title }}"></label>
<label>What it does <textarea name="does" rows="2" maxlength="2000">{{ $choice->does }}</textarea></label>
<label>How long it lasts <input name="lasts" maxlength="240" value="{{ $choice->lasts }}"></label>
<label>What to prepare <input name="prepare" maxlength="240" value="{{ $choice->prepare }}"
    placeholder="empty the box, a day without cooling"></label>
<label>What it leaves undone, and the risk <input name="risk" maxlength="500" value="{{ $choice->risk }}"></label>
<label>Amounts, one per line: what; quantity; unit; price <textarea name="lines" rows="4"
    maxlength="8000" placeholder="Labour; 1.5; h; 78">{{ $choice->lines }}</textarea></label>
