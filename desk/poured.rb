# frozen_string_literal: true

module NutShelf
  module Desk
    # What a stack remembers of something that was poured into it: the part with its dates.
    module Poured
      module_function

      # @param work [UnitOfWork]
      # @param part [Core::Part]
      # @param lot_id [Integer] of the stack it came from
      # @return [Hash] an event of its story
      def event(work, part, lot_id)
        work.happening(
          "topped_up", **part.to_h, quality_until: part.quality_until&.iso8601,
          safety_until: part.safety_until&.iso8601, lot_id: lot_id
        )
      end
    end
  end
end
