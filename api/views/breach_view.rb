# frozen_string_literal: true

require_relative "../../core/rotation/rotation_breaches"
require_relative "stack_view"

module NutShelf
  module Api
    # Foods whose newer stack stands at hand while the older waits elsewhere.
    module BreachView
      module_function

      # @param work [Desk::UnitOfWork]
      # @param place_id [Integer, nil] only pairs that touch this place
      # @return [Array<Hash>] :kind, :stack (the older one) and :text
      def call(work, place_id = nil)
        view = StackView.new(work)
        pairs = Core::RotationBreaches.pairs(work.shelf)
        pairs = pairs.select { |pair| [pair.near, pair.far].any? { |stack| stack.place_id == place_id } } if place_id
        pairs.map { |pair| { kind: "crossed", stack: view.call(pair.far), text: pair.words } }
      end
    end
  end
end
