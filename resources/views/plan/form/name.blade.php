<x-field name="name" :label="Text::of('challenge.form.name')" :value="$challenge->name" maxlength="120" />
<x-field
    name="question" :label="Text::of('challenge.form.question_the_class_is_to_answer')" optional
    :value="$challenge->question" maxlength="300" :hint="Text::of('challenge.form.for_instance_does_a_wider_nozzle')" />
