# frozen_string_literal: true

module NutShelf
  module Desk
    # What a person may not do, or cannot do now. `code` names it in the contract; `remedy` says how to mend it;
    # `details` may carry more for the caller.
    class Error < StandardError
      attr_reader :code, :remedy, :details

      def initialize(message, code:, remedy: nil, **details)
        super(message)
        @code = code
        @remedy = remedy
        @details = details
      end
    end

    # The role does not reach that far.
    class Forbidden < Error
    end

    # What was sent cannot be used; `details[:pointer]` says where.
    class Invalid < Error
    end

    # The world has moved on: undone already, taken by somebody else, depended upon.
    class Conflict < Error
    end
  end
end
