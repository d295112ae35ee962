<?php

declare(strict_types=1);

namespace App\Record;

/** What an educator may do next for a class, in the order in which one waits for the other. */
enum NextStep: string
{
    case AllowTablet = 'allow_tablet';
    case HelpGroup = 'help_group';
    case ReadSafety = 'read_safety';
    case ReadNewCautions = 'read_new_cautions';
    case AddGroups = 'add_groups';
    case RecordCars = 'record_cars';
    case CheckCars = 'check_cars';
    case RunTries = 'run_tries';
    case SeeAnswer = 'see_answer';
    case PrintReport = 'print_report';
}
