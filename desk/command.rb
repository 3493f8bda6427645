# frozen_string_literal: true

require "digest"
require "json"
require_relative "envelope"
require_relative "errors"
require_relative "services"
require_relative "unit_of_work"
require_relative "refusal"

module NutShelf
  module Desk
    # One thing a person asks the house to do: permission, one transaction, the household's writers in a line, and
    # idempotency. Subclasses say what in `perform` and answer with a hash that becomes the stored answer. What changes
    # stock, plans or records is an Act; the rest (a link, a line of a count under way, a reading) leaves no history.
    class Command
      # Says that only a keeper may do it.
      def self.keeper_only = @keeper_only = true

      # @return [Boolean]
      def self.keeper_only? = @keeper_only == true

      # Parts of the answer that are told once and never stored, such as a link that lets somebody in.
      def self.tells_once(*names) = @told_once = names

      # @return [Array<Symbol>] see tells_once
      def self.told_once = @told_once || []

      # @param services [Services]
      # @param caller [Caller]
      def initialize(services, caller)
        @services = services
        @caller = caller
      end

      # @param input [Hash] symbols as keys, as the contract says
      # @param key [String] idempotency key of the person's intent
      # @param envelope [Envelope] when and where it was done, when that is not here and now
      # @return [Hash] the answer; the stored one when the key was used before with the same input
      # @raise [Forbidden, Invalid, Conflict, Store::Error]
      def call(input, key:, envelope: Envelope::NONE)
        permit
        @services.database.within(@caller.household_id) do |db|
          @work = UnitOfWork.new(@services, @caller, db, envelope: envelope)
          stored = claim(key, input)
          next stored if stored

          prepare(input)
          revision = lock
          answer = perform(input)
          store_answer(key, answer, revision)
          JSON.parse(JSON.generate(answer))
        end
      end

      private

      attr_reader :work

      # What can be worked out before other writers of the household have to wait. Nothing here may write.
      def prepare(_input) = nil

      def house = work.house

      # Writers of a household wait in a line; whoever waited may have lost the role meanwhile.
      # @return [Integer] the household's new revision
      def lock
        row = house.household.bump
        work.locked(row)
        revision = row.revision
        role = house.household.role_of(@caller.account_id)
        raise Refusal.of(:not_a_member) unless role
        return revision if role == @caller.role

        @caller = Caller.new(**@caller.to_h, role: role)
        @work = UnitOfWork.new(@services, @caller, house.db, envelope: @work.envelope)
        @work.locked(row)
        permit
        revision
      end

      def store_answer(key, answer, revision)
        told = self.class.told_once.to_h { |name| [name, nil] }
        house.requests.answer(account_id: @caller.account_id, key: key, answer: JSON.generate({ **answer, **told }))
        house.requests.prune if (revision % 100).zero?
      end

      def permit
        return unless self.class.keeper_only? && !@caller.keeper?

        raise Refusal.of(:keepers_only)
      end

      def claim(key, input)
        hash = Digest::SHA256.hexdigest("#{self.class.name}\n#{JSON.generate(input)}")
        stored = work.house.requests.claim(account_id: @caller.account_id, key: key, request_hash: hash) or return
        return JSON.parse(stored.answer) if stored.request_hash == hash

        raise Refusal.of(:key_reused)
      end
    end
  end
end
