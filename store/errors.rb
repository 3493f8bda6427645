# frozen_string_literal: true

require "pg"
require "sequel"

module NutShelf
  module Store
    # What the database refuses, in the words of the house.
    class Error < StandardError
    end

    # The stack would go below zero: somebody else took it first.
    class NotEnough < Error
    end

    # A name that must be unique is taken.
    class Taken < Error
    end

    # A figure outside of what can be.
    class OutOfBounds < Error
    end

    # A row that does not exist for this household.
    class Missing < Error
    end

    # A fault of ours: a household was read when its transaction was over.
    class Outside < StandardError
    end

    # Somebody else holds what is needed, or it takes too long.
    class Busy < Error
    end

    # There is no room left on the disk.
    class Full < Error
    end

    # The database cannot be reached.
    class Away < Error
    end

    # Turns driver errors into the above, by the name of the constraint.
    module Translate
      BY_CONSTRAINT = {
        "lots_never_below_zero" => [NotEnough, "There is not that much left."],
        "lots_value_never_below_zero" => [NotEnough, "There is not that much left."],
        "places_name_once" => [Taken, "There is already a place of that name."],
        "accounts_email_once" => [Taken, "There is already somebody with that e-mail address."],
        "containers_name_once" => [Taken, "There is already a jar or box of that name."],
        "counts_one_open" => [Taken, "That place is being counted already."],
        "places_range_ordered" => [Taken, "The coldest cannot be warmer than the warmest."],
        "acts_undone_once" => [Taken, "That was undone already."],
        "kits_boxes" => [OutOfBounds, "An empty box weighs as much as one person is to carry."],
        "outages_in_order" => [OutOfBounds, "The power cannot be back before it went."]
      }.freeze

      # What the drivers raise by themselves.
      DRIVER = [Sequel::DatabaseError, Sequel::PoolTimeout, PG::Error].freeze

      module_function

      # @yield what speaks to the database
      # @raise [Store::Error] what the drivers raised, in words of the house
      def errors
        yield
      rescue Sequel::ConstraintViolation => e
        name = e.wrapped_exception.result&.error_field(PG::Result::PG_DIAG_CONSTRAINT_NAME)
        klass, message = BY_CONSTRAINT[name] || unfit(e)
        raise klass ? klass.new(message) : e
      rescue Sequel::DatabaseLockTimeout
        raise Busy, "Somebody else is changing a lot at the moment."
      rescue Sequel::InvalidValue
        raise Missing, "There is nothing of that number here."
      rescue Sequel::DatabaseDisconnectError,
             Sequel::DatabaseConnectionError,
             Sequel::PoolTimeout,
             PG::ConnectionBad => e
        raise Away, e.message
      rescue Sequel::DatabaseError => e
        raise by_state(e.wrapped_exception) || e
      end

      # Bounds of tables lie wider than those of the contract; what gets past that is still the asker's to mend.
      def unfit(error)
        [OutOfBounds, "A figure there lies outside of what can be."] if error.is_a?(Sequel::CheckConstraintViolation)
      end

      # By the state PostgreSQL names.
      def by_state(error)
        case error
        when PG::QueryCanceled
          Busy.new("That took too long.")
        when PG::DiskFull, PG::OutOfMemory
          Full.new("There is no room left to keep that.")
        when PG::AdminShutdown, PG::CrashShutdown, PG::CannotConnectNow
          Away.new(error.message)
        when PG::NumericValueOutOfRange, PG::DatetimeFieldOverflow, PG::InvalidTextRepresentation,
             PG::CharacterNotInRepertoire, PG::UntranslatableCharacter
          Missing.new("There is nothing of that number here.")
        end
      end
    end
  end
end
